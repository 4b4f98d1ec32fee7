package org.sallowbrook.server.drying;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.time.Duration;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.drying.Way;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.server.platform.Versioned;

@Entity
@Table(name = "drying_run")
class DryingRun extends Versioned {

    enum Status {
        DRYING,
        JARRED,
        DESTROYED
    }

    UUID harvestId = new UUID(0, 0);
    String code = "";
    String taxonId = "";

    @Enumerated(EnumType.STRING)
    Taxon.Part part = Taxon.Part.HERB;

    String rack = "";
    Instant startedAt = Instant.EPOCH;

    @Column(name = "fresh_g")
    double freshG;

    double moistureLow;
    double moistureHigh;
    double targetMoisture;

    @Column(name = "temperature_c")
    @Nullable
    Double temperatureC;

    @Nullable
    Double relativeHumidity;

    @Enumerated(EnumType.STRING)
    Way.Method method = Way.Method.SCREEN;

    boolean washed;
    boolean strippedBefore;

    boolean mouldSeen;

    /** What it weighed when it went into its jar; null before. */
    @Column(name = "dried_g")
    @Nullable
    Double driedG;

    /** Hours at work until it was jarred; null before. */
    @Nullable
    Double driedHours;

    @Enumerated(EnumType.STRING)
    Status status = Status.DRYING;

    @Nullable
    Instant pausedSince;

    long pausedSeconds;

    protected DryingRun() {}

    DryingRun(UUID id) {
        super(id);
    }

    Way way() {
        return new Way(method, washed, strippedBefore);
    }

    /** Hours on the rack at work until a moment; a pause that is still on does not count. */
    double rackHours(Instant at) {
        Instant until = pausedSince != null && pausedSince.isBefore(at) ? pausedSince : at;
        return Math.max(
                0,
                Duration.between(startedAt, until).minusSeconds(pausedSeconds).toSeconds() / 3600.0);
    }
}
