package org.sallowbrook.server.planning;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.util.UUID;
import org.sallowbrook.server.platform.Versioned;

/** What a household has to do the year's work with. */
@Entity
@Table(name = "year_means")
class YearMeans extends Versioned {

    @Column(name = "rack_m2")
    double rackM2;

    double hoursPerWeek;

    protected YearMeans() {}

    YearMeans(UUID id) {
        super(id);
    }
}
