package org.sallowbrook.server.drying;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface DryTests extends JpaRepository<DryTest, UUID> {

    List<DryTest> findAllByRunIdOrderByAtAscIdAsc(UUID runId);

    List<DryTest> findAllByRunIdInOrderByAtAscIdAsc(Collection<UUID> runs);
}
