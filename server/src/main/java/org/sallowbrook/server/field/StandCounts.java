package org.sallowbrook.server.field;

import java.util.List;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;

interface StandCounts extends JpaRepository<StandCount, UUID> {
    List<StandCount> findAllByStandIdOrderByOnDayDescIdDesc(UUID standId, Limit most);
}
