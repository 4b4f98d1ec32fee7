package org.sallowbrook.server.field;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.field.Site;
import org.sallowbrook.server.platform.Versioned;

@Entity
@Table(name = "stand")
class Stand extends Versioned {

    String taxonId = "";
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

    protected Stand() {}

    Stand(UUID id) {
        super(id);
    }

    Site site() {
        return new Site(ground, permission, plenty, protectedSpecies, neighbour);
    }
}
