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
    RECOVERY_FROM_DRINK("recovery from drink"),
    TRYING_TO_CONCEIVE("trying to conceive"),
    HEART_FAILURE("heart failure"),
    HEART_RHYTHM_DISORDER("a disorder of the heart's rhythm"),
    BLEEDING_DISORDER("a bleeding disorder"),
    DIABETES("diabetes"),
    EPILEPSY("epilepsy"),
    SALICYLATE_ASTHMA("asthma brought on by aspirin"),
    G6PD_DEFICIENCY("a lack of the enzyme G6PD"),
    DEPRESSION("depression or bipolar illness"),
    AUTOIMMUNE_ILLNESS("an autoimmune illness"),
    TRANSPLANT("a transplant"),
    HORMONE_SENSITIVE_TUMOUR("a hormone-sensitive tumour");

    private final String words;

    Condition(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }
}
