package org.sallowbrook.core.making;

import java.util.List;
import org.sallowbrook.core.measure.Finding;

/** What came of reckoning a preparation. */
public sealed interface Outcome<P> {

    List<Finding> findings();

    List<String> because();

    /** It can be made like this, as far as the reckoning goes; a STOP among the findings forbids it all the same. */
    record Feasible<P>(P plan, List<Finding> findings, List<String> because) implements Outcome<P> {
        public Feasible {
            findings = List.copyOf(findings);
            because = List.copyOf(because);
        }
    }

    /** It can not; the findings say why, and what could be. */
    record Refused<P>(List<Finding> findings, List<String> because) implements Outcome<P> {
        public Refused {
            findings = List.copyOf(findings);
            because = List.copyOf(because);
        }
    }
}
