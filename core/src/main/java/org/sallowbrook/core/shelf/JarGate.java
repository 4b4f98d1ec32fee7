package org.sallowbrook.core.shelf;

import java.util.ArrayList;
import java.util.List;
import org.sallowbrook.core.drying.Drying;
import org.sallowbrook.core.measure.Finding;

/** Gates damp and mould: what may go from the rack into a jar. */
public final class JarGate {

    private JarGate() {}

    /**
     * @param drying where the lot stands by its last weighing and physical test
     * @param mouldSeen at any stage, however little
     */
    public static List<Finding> check(Drying.Result drying, boolean mouldSeen) {
        List<Finding> findings = new ArrayList<>();
        if (mouldSeen) {
            findings.add(Finding.stop(
                    "MOULD",
                    "Mould was seen or smelt in this lot. Trimming or drying again does not take its poison away.",
                    "Throw the whole lot away, and anything made from it."));
        }
        if (!drying.done()) {
            findings.addAll(drying.findings().stream()
                    .filter(f -> f.severity() == org.sallowbrook.core.measure.Severity.HOLD
                            || f.severity() == org.sallowbrook.core.measure.Severity.STOP)
                    .map(f -> Finding.stop(f.code(), f.message(), f.action()))
                    .toList());
            if (findings.isEmpty()) {
                findings.add(Finding.stop(
                        "DAMP", "It is not shown to be dry.", "Weigh it again and test whether stems snap."));
            }
        }
        return findings;
    }
}
