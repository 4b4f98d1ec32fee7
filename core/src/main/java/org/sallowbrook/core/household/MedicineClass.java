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
    DIABETES("a diabetes medicine"),
    BLOOD_PRESSURE("a blood pressure medicine"),
    DIURETIC("a water tablet"),
    ANTI_INFLAMMATORY("an anti-inflammatory pain killer"),
    ALCOHOL_REACTING("a medicine that reacts with alcohol");

    private final String words;

    MedicineClass(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }
}
