package org.sallowbrook.server.making;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface ColdSpoons extends JpaRepository<ColdSpoonEntity, UUID> {

    List<ColdSpoonEntity> findTop40ByWaxOrderByNotedOnDesc(String wax);

    List<ColdSpoonEntity> findAllByBatchId(UUID batchId);
}
