package org.sallowbrook.server.making;

import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface Shakes extends JpaRepository<Shake, UUID> {

    record Last(UUID batchId, LocalDate onDay) {}

    List<Shake> findAllByBatchIdOrderByOnDay(UUID batchId);

    /** The last of each batch. */
    @Query("select new org.sallowbrook.server.making.Shakes$Last(s.batchId, max(s.onDay)) from Shake s"
            + " where s.batchId in :batches group by s.batchId")
    List<Last> last(Collection<UUID> batches);

    boolean existsByBatchIdAndOnDay(UUID batchId, LocalDate onDay);
}
