package org.sallowbrook.server.platform;

import java.util.ArrayList;
import java.util.List;
import org.sallowbrook.core.measure.Finding;

/** What all calculators' answers share. */
public final class Answer {

    private Answer() {}

    /** The findings of a calculator, with the note that no card and no person was looked at. */
    public static List<Finding> ungated(List<Finding> findings) {
        List<Finding> all = new ArrayList<>(findings);
        all.add(Finding.note(
                "UNGATED",
                "Only reckoned: no plant card and no person was looked at.",
                "Save it as a batch or a course to have every safety rule applied."));
        return all;
    }
}
