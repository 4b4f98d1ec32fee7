package org.sallowbrook.server.making.salve;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

public interface ColdSpoons extends JpaRepository<ColdSpoonEntity, UUID> {

    List<ColdSpoonEntity> findTop40ByWaxOrderByNotedOnDesc(String wax);

    List<ColdSpoonEntity> findAllByBatchId(UUID batchId);
}
