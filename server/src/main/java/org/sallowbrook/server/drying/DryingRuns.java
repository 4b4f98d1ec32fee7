package org.sallowbrook.server.drying;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.sallowbrook.core.drying.Way;
import org.sallowbrook.core.herbarium.Taxon;
import org.springframework.data.domain.Limit;
import org.springframework.data.domain.Pageable;
import org.springframework.data.domain.Slice;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface DryingRuns extends JpaRepository<DryingRun, UUID> {

    /** One dried lot to learn from. */
    record Dried(double freshG, double driedG) {}

    List<DryingRun> findAllByStatusOrderByStartedAtDesc(DryingRun.Status status);

    Slice<DryingRun> findAllByStatusNotOrderByStartedAtDesc(DryingRun.Status status, Pageable page);

    boolean existsByHarvestId(UUID harvestId);

    @Query("select r.harvestId from DryingRun r where r.harvestId in :harvests")
    List<UUID> racked(Collection<UUID> harvests);

    Optional<DryingRun> findByHarvestId(UUID harvestId);

    /** How long the latest of a part took on one rack. */
    @Query("select r.driedHours from DryingRun r where r.rack = :rack and r.method = :method and r.part = :part"
            + " and r.driedHours is not null order by r.startedAt desc")
    List<Double> driedHours(String rack, Way.Method method, Taxon.Part part, Limit most);

    @Query("select r.rack from DryingRun r where r.startedAt > :since group by r.rack order by max(r.startedAt) desc")
    List<String> racks(java.time.Instant since, Limit most);

    /** The latest of a plant and part. */
    @Query("select new org.sallowbrook.server.drying.DryingRuns$Dried(r.freshG, r.driedG) from DryingRun r"
            + " where r.taxonId = :taxon and r.part = :part and r.driedG is not null order by r.startedAt desc")
    List<Dried> dried(String taxon, Taxon.Part part, Limit most);
}
