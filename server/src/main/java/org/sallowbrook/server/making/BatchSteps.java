package org.sallowbrook.server.making;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface BatchSteps extends JpaRepository<BatchStep, UUID> {

    List<BatchStep> findAllByBatchIdOrderByStep(UUID batchId);
}
