package org.sallowbrook.server.household;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

@Entity
@Table(name = "household")
class Household {

    @Id
    UUID id = new UUID(0, 0);

    String name = "";
    String zone = "";

    /** Whether simulated devices, such as the scale, are offered outside the demo. */
    boolean standIns;

    /** Which cards are candidates where this household gathers. */
    String region = "merrow";

    /** Degrees north; null where nobody said. */
    @Nullable
    Double latitude;

    /** Above the sea, m; null where nobody said. */
    @Nullable
    @Column(name = "elevation_m")
    Double elevationM;

    /** As it is dialled where they live; empty until somebody says so. */
    String emergencyNumber = "";

    /** Name and number. */
    String poisonCentre = "";

    Instant createdAt = Instant.EPOCH;

    protected Household() {}

    Household(UUID id, String name, String zone, String region, Instant createdAt) {
        this.region = region;
        this.id = id;
        this.name = name;
        this.zone = zone;
        this.createdAt = createdAt;
    }
}
