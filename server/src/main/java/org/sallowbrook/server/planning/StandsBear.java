package org.sallowbrook.server.planning;

import java.util.Optional;
import java.util.UUID;
import org.sallowbrook.core.herbarium.Taxon;
import org.springframework.data.jpa.repository.JpaRepository;

interface StandsBear extends JpaRepository<StandBears, UUID> {

    Optional<StandBears> findByStandIdAndPart(UUID standId, Taxon.Part part);
}
