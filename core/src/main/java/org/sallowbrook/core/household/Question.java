package org.sallowbrook.core.household;

import java.util.Arrays;
import java.util.List;

/** What practitioners disagree about. The household picks a school for each and may choose otherwise for one batch. */
public enum Question {
    MEASURING("How a tincture is measured"),
    SPIRIT_STRENGTH("How strong the spirit is"),
    PLANT_STATE("Fresh or dried plant in a tincture"),
    FRESH_RATIO("What the ratio counts on fresh plant"),
    PRESSING("When a tincture is pressed"),
    KEEPING_TINCTURE("How long a pressed tincture is kept"),
    OIL_HERB("What herb goes into oil"),
    OIL_METHOD("How oil is infused"),
    OIL_TIME("How long oil stands"),
    TOUGH_TEA("How tough material is made into tea"),
    STEEPING("How long a tea steeps"),
    DRYING("Where herb dries"),
    WASHING("Whether herb is washed first"),
    STRIPPING("When leaf is stripped from the stem"),
    FRUIT_AND_FROST("When fruit is picked"),
    HOW_MUCH("How much of a stand is taken"),
    DOSE_STYLE("How a course is taken"),
    DOSE_SIZE("How large a dose is"),
    CHILD_DOSE("Doses for children"),
    SEXES("Male and female plants"),
    NAMES("Which names are shown");

    private final String words;

    Question(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }

    /** Whether the answer changes something the household can see; others wait until it does. */
    public boolean offered() {
        return switch (this) {
            // Waits for books that are kept.
            case NAMES -> false;
            default -> true;
        };
    }

    /** Its schools, the default first. */
    public List<School> schools() {
        return Arrays.stream(School.values())
                .filter(s -> s.question() == this)
                .sorted((a, b) -> Boolean.compare(b.isDefault(), a.isDefault()))
                .toList();
    }

    /** The safer one, or where none is safer the commoner. */
    public School usual() {
        return schools().get(0);
    }
}
