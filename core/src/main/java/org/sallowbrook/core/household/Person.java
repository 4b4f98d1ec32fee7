package org.sallowbrook.core.household;

import java.time.LocalDate;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.measure.Checks;

/**
 * What the gates must know of whoever takes something.
 *
 * @param weightKg null when not known
 * @param heightCm null when not known
 * @param trimester 1..3; null when not pregnant
 * @param allergyFamilies plant families in botanical Latin
 * @param operationOn a planned operation; null when none
 */
public record Person(
        String name,
        int ageYears,
        @Nullable Double weightKg,
        @Nullable Double heightCm,
        @Nullable Integer trimester,
        boolean breastFeeding,
        Set<Condition> conditions,
        Set<MedicineClass> medicines,
        Set<String> allergyFamilies,
        @Nullable LocalDate operationOn) {

    public static final int ADULT_FROM_YEARS = 18;

    public Person {
        Checks checks = Checks.begin().range("ageYears", ageYears, 0, 130);
        if (weightKg != null) {
            checks.range("weightKg", weightKg, 1, 400);
        }
        if (heightCm != null) {
            checks.range("heightCm", heightCm, 30, 250);
        }
        if (trimester != null) {
            checks.range("trimester", trimester, 1, 3);
        }
        checks.done();
        conditions = Set.copyOf(conditions);
        medicines = Set.copyOf(medicines);
        allergyFamilies = Set.copyOf(allergyFamilies);
    }

    public boolean pregnant() {
        return trimester != null;
    }

    public boolean adult() {
        return ageYears >= ADULT_FROM_YEARS;
    }
}
