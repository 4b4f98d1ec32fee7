package org.sallowbrook.core.household;

/** Classes of medicine, as a pharmacist would name them to a patient. */
public enum MedicineClass {
    ANTICOAGULANT("a blood thinner"),
    ANTIPLATELET("a medicine against clotting"),
    SEDATIVE("a sleeping tablet or sedative"),
    ANTIEPILEPTIC("a medicine against fits"),
    IMMUNOSUPPRESSANT("a transplant medicine or immunosuppressant"),
    CONTRACEPTIVE("a hormonal contraceptive"),
    ANTIRETROVIRAL("an HIV medicine"),
    DIGOXIN("digoxin"),
    HEART_RHYTHM("a heart medicine"),
    LITHIUM("lithium"),
    ANTIDEPRESSANT("an antidepressant"),
    /** Of the antidepressants those by which bleeding becomes likelier. */
    SSRI("an antidepressant that keeps serotonin up (SSRI or SNRI)"),
    DIABETES("a diabetes medicine"),
    /** Of the diabetes medicines those by which sugar can fall too low. */
    INSULIN_OR_SULFONYLUREA("insulin or a tablet that drives insulin out"),
    BLOOD_PRESSURE("a blood pressure medicine"),
    DIURETIC("a water tablet"),
    ANTI_INFLAMMATORY("an anti-inflammatory pain killer"),
    ALCOHOL_REACTING("a medicine that reacts with alcohol"),
    TRIPTAN("a migraine medicine (triptan)"),
    SEROTONERGIC_PAIN_KILLER("a pain killer that raises serotonin"),
    OPIOID("an opioid or its replacement"),
    CALCIUM_BLOCKER("a calcium channel blocker"),
    STATIN("a statin"),
    CANCER("a cancer medicine"),
    HEPATITIS_C("a hepatitis C medicine"),
    ANTIFUNGAL("a medicine against fungi"),
    THEOPHYLLINE("theophylline"),
    STOMACH_ACID("a medicine against stomach acid"),
    METHOTREXATE("methotrexate"),
    THYROID("a thyroid hormone"),
    ANTITHYROID("a medicine against an overactive thyroid"),
    IRON("iron tablets"),
    STEROID("a cortisone-like steroid"),
    EMERGENCY_CONTRACEPTIVE("an emergency contraceptive"),
    /** Nothing of note is known here but with a plant that changes how the body deals with most medicines. */
    PLAIN("a medicine of which nothing of note is known here"),
    /** None of the classes here, or one that takes part in more than they say. */
    OTHER("another prescribed medicine"),
    /** Nobody knows what it is. */
    NOT_SURE("a medicine nobody is sure of");

    private final String words;

    MedicineClass(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }
}
