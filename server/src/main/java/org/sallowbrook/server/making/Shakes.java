package org.sallowbrook.server.making;

import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface Shakes extends JpaRepository<Shake, UUID> {
    List<Shake> findAllByBatchIdOrderByOnDay(UUID batchId);

    boolean existsByBatchIdAndOnDay(UUID batchId, LocalDate onDay);
}
