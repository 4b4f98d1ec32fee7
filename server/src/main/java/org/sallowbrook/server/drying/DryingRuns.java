package org.sallowbrook.server.drying;

import java.util.List;
import java.util.UUID;
import org.sallowbrook.core.herbarium.Taxon;
import org.springframework.data.jpa.repository.JpaRepository;

interface DryingRuns extends JpaRepository<DryingRun, UUID> {
    List<DryingRun> findAllByOrderByStartedAtDesc();

    boolean existsByHarvestId(UUID harvestId);

    List<DryingRun> findAllByTaxonIdAndPartAndStatus(String taxonId, Taxon.Part part, DryingRun.Status status);
}
