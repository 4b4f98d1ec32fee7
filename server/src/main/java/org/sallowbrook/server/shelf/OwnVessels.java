package org.sallowbrook.server.shelf;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface OwnVessels extends JpaRepository<OwnVessel, UUID> {

    /** How many of a size hold something. */
    record InUse(UUID vesselId, Long lots) {}

    List<OwnVessel> findAllByOrderByKindAscCapacityMlAsc();

    @Query("select new org.sallowbrook.server.shelf.OwnVessels$InUse(l.vesselId, count(l)) from Lot l"
            + " where l.vesselId is not null and l.remaining > 0"
            + " and l.state <> org.sallowbrook.core.making.Product$State.DESTROYED group by l.vesselId")
    List<InUse> inUse();
}
