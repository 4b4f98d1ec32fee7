package org.sallowbrook.server.making;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.time.LocalDate;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.making.vessel.HouseMeasure;
import org.sallowbrook.server.platform.Entry;

/** What one spoon, cup or handful of this household held once: grams of a herb, or millilitres where no herb is named. */
@Entity
@Table(name = "house_measure")
class MeasuredOnce extends Entry {

    @Enumerated(EnumType.STRING)
    HouseMeasure measure = HouseMeasure.LEVEL_TEASPOON;

    @Nullable
    UUID lotId;

    @Nullable
    String taxonId;

    @Enumerated(EnumType.STRING)
    Taxon.@Nullable Part part;

    boolean fresh;

    /** Grams of the herb, or mL of water where there is none. */
    double ofOne;

    LocalDate notedOn = LocalDate.EPOCH;
    String notedBy = "";

    protected MeasuredOnce() {}

    MeasuredOnce(UUID id) {
        super(id);
    }
}
