package org.sallowbrook.server.making.oil;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface PanWeighings extends JpaRepository<PanWeighing, UUID> {

    List<PanWeighing> findAllByBatchIdOrderByAtAscIdAsc(UUID batchId);
}
