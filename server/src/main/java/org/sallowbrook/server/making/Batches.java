package org.sallowbrook.server.making;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface Batches extends JpaRepository<Batch, UUID> {
    List<Batch> findAllByOrderByStartedOnDescIdDesc();
}
