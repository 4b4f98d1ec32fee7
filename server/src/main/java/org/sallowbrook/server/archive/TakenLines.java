package org.sallowbrook.server.archive;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface TakenLines extends JpaRepository<TakenLine, UUID> {
    List<TakenLine> findAllByListIdOrderByLineDesc(UUID listId);
}
