package org.sallowbrook.server.household;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface Observers extends JpaRepository<ObserverEntity, UUID> {
    List<ObserverEntity> findAllByEndedOnIsNullOrderByName();
}
