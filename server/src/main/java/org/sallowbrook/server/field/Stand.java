package org.sallowbrook.server.field;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.time.Instant;
import java.time.LocalDate;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.field.Site;
import org.sallowbrook.server.platform.Versioned;

@Entity
@Table(name = "stand")
class Stand extends Versioned {

    /** What it is taken for; null while nobody knows. */
    @Nullable
    String taxonId;

    String name = "";
    String place = "";

    @Enumerated(EnumType.STRING)
    Site.Ground ground = Site.Ground.UNKNOWN;

    @Enumerated(EnumType.STRING)
    Site.Permission permission = Site.Permission.UNKNOWN;

    @Enumerated(EnumType.STRING)
    Site.Plenty plenty = Site.Plenty.FAIR;

    boolean protectedSpecies;

    @Nullable
    String neighbour;

    boolean doubted;

    @Nullable
    String doubtReason;

    @Nullable
    Instant doubtedAt;

    @Nullable
    Double latitude;

    @Nullable
    Double longitude;

    /** Above the sea, m. */
    @Nullable
    @Column(name = "elevation_m")
    Double elevationM;

    /** The year from which plants are known to grow there, or were sown; null when nobody knows. */
    @Nullable
    Integer growingSince;

    /** Out of the lists, kept for what came from it; null while it is watched. */
    @Nullable
    LocalDate putAwayOn;

    @Nullable
    String putAwayReason;

    protected Stand() {}

    Stand(UUID id) {
        super(id);
    }

    /** As looks carry it: empty for a plant nobody has a name for. */
    String taxonId() {
        return taxonId == null ? "" : taxonId;
    }

    Site site() {
        return new Site(ground, permission, plenty, protectedSpecies, neighbour);
    }
}
