package org.sallowbrook.server.making;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.sallowbrook.core.making.vessel.HouseMeasure;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface MeasuredOnces extends JpaRepository<MeasuredOnce, UUID> {

    List<MeasuredOnce> findAllByMeasureOrderByNotedOnDescIdDesc(HouseMeasure measure, Limit most);

    List<MeasuredOnce> findAllByOrderByNotedOnDescIdDesc(Limit most);

    record OfLot(UUID lot, double g) {}

    @Query("select new org.sallowbrook.server.making.MeasuredOnces$OfLot(m.lotId, max(m.ofOne)) from MeasuredOnce m"
            + " where m.measure = :measure and m.lotId is not null group by m.lotId")
    List<OfLot> mostByLot(HouseMeasure measure);

    record Most(HouseMeasure measure, double ml) {}

    @Query("select new org.sallowbrook.server.making.MeasuredOnces$Most(m.measure, max(m.ofOne)) from MeasuredOnce m"
            + " where m.measure in :which and m.taxonId is null and m.lotId is null group by m.measure")
    List<Most> mostOfWater(Collection<HouseMeasure> which);
}
