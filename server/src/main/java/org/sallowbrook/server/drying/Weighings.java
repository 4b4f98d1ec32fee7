package org.sallowbrook.server.drying;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface Weighings extends JpaRepository<WeighingEntity, UUID> {
    List<WeighingEntity> findAllByRunIdOrderByRackHours(UUID runId);

    List<WeighingEntity> findAllByRunIdInOrderByRackHours(Collection<UUID> runs);
}
