package org.sallowbrook.server.field;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.time.LocalDate;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.sallowbrook.core.field.Sex;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.server.platform.Entry;

@Entity
@Table(name = "harvest")
class Harvest extends Entry {

    UUID standId = new UUID(0, 0);
    String code = "";
    String taxonId = "";

    @Enumerated(EnumType.STRING)
    Taxon.Part part = Taxon.Part.HERB;

    LocalDate onDay = LocalDate.EPOCH;

    /** Null until it is weighed at home. */
    @org.jspecify.annotations.Nullable
    @Column(name = "mass_g")
    Double massG;

    /** As it was picked where nothing was weighed: two bags. */
    String measuredAs = "";

    @org.jspecify.annotations.Nullable
    @Enumerated(EnumType.STRING)
    Sex sex;

    /** How much of each plant, 0..1. */
    @org.jspecify.annotations.Nullable
    Double sharePerPlant;

    double shareTaken;
    String weather = "";

    /** {@link StoredTells}. */
    @JdbcTypeCode(SqlTypes.JSON)
    String tells = "";

    boolean examinedSingly;

    @org.jspecify.annotations.Nullable
    UUID tagId;

    String pickedBy = "";

    /** For whom or for when, in words: flowers for insects, seed shaken out. */
    String leftStanding = "";

    /** When what was not ready yet is picked; null when nobody comes back for it. */
    @org.jspecify.annotations.Nullable
    LocalDate returnOn;

    protected Harvest() {}

    Harvest(UUID id) {
        super(id);
    }
}
