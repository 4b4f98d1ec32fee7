package org.sallowbrook.core.household;

/** Conditions that a card or a gate may speak of. */
public enum Condition {
    ACTIVE_ULCER("an active ulcer"),
    SALICYLATE_ALLERGY("an allergy to salicylates"),
    LOW_BLOOD_PRESSURE("low blood pressure"),
    STOMACH_INFLAMMATION("an inflamed stomach"),
    GALLSTONES("gallstones or blocked bile"),
    LIVER_DISEASE("a liver disease"),
    KIDNEY_DISEASE("a kidney disease"),
    THYROID_DISEASE("a thyroid disease"),
    BOWEL_OBSTRUCTION("a bowel obstruction"),
    LOW_POTASSIUM("low potassium"),
    ASTHMA("asthma"),
    FLUID_RETENTION("fluid retention from heart or kidney"),
    RECOVERY_FROM_DRINK("recovery from drink");

    private final String words;

    Condition(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }
}
