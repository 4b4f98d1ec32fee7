package org.sallowbrook.server.household;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface People extends JpaRepository<PersonEntity, UUID> {
    List<PersonEntity> findAllByOrderByBornOn();
}
