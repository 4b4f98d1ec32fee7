package org.sallowbrook.server.household;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;

interface LoosenedLines extends JpaRepository<Loosened, UUID> {
    List<Loosened> findAllBySubjectIdOrderByAtDesc(UUID subjectId, Limit most);

    List<Loosened> findAllBySubjectIdInOrderByAtDesc(Collection<UUID> subjectIds, Limit most);
}
