package org.sallowbrook.server.making;

import java.util.List;
import java.util.UUID;
import org.sallowbrook.core.making.vessel.HouseMeasure;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;

interface MeasuredOnces extends JpaRepository<MeasuredOnce, UUID> {

    List<MeasuredOnce> findAllByMeasureOrderByNotedOnDescIdDesc(HouseMeasure measure, Limit most);

    List<MeasuredOnce> findAllByOrderByNotedOnDescIdDesc(Limit most);
}
