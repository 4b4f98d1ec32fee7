package org.sallowbrook.server.planning;

import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface PlannedPicks extends JpaRepository<PlannedPick, UUID> {

    List<PlannedPick> findAllByWeekOfBetweenOrderByWeekOfAscIdAsc(LocalDate from, LocalDate to);

    List<PlannedPick> findAllByWeekOfGreaterThanEqual(LocalDate from);
}
