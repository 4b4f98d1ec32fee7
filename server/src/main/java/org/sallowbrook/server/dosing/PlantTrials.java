package org.sallowbrook.server.dosing;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface PlantTrials extends JpaRepository<PlantTrial, UUID> {
    List<PlantTrial> findAllByPersonId(UUID personId);

    List<PlantTrial> findAllByPersonIdIn(Collection<UUID> personIds);
}
