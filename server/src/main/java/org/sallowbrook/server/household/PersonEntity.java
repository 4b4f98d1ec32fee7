package org.sallowbrook.server.household;

import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.time.LocalDate;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.server.platform.Versioned;

/** Somebody who may be given something. Sets are kept as comma-separated names. */
@Entity
@Table(name = "person")
class PersonEntity extends Versioned {

    String name = "";
    LocalDate bornOn = LocalDate.EPOCH;

    @Nullable
    Double weightKg;

    @Nullable
    Double heightCm;

    @Nullable
    Integer trimester;

    boolean breastFeeding;
    String conditions = "";
    String medicines = "";
    String medicineNames = "";
    String allergyFamilies = "";

    @Nullable
    LocalDate operationOn;

    boolean recipient;

    protected PersonEntity() {}

    PersonEntity(UUID id) {
        super(id);
    }
}
