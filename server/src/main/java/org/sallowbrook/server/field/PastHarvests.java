package org.sallowbrook.server.field;

import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.Taxon;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface PastHarvests extends JpaRepository<PastHarvest, UUID> {
    List<PastHarvest> findAllByStandIdOrderByInYearDescIdDesc(UUID standId, Limit most);

    boolean existsByStandId(UUID standId);

    List<PastHarvest> findAllByStandIdAndPartAndInYear(UUID standId, Taxon.Part part, int inYear);

    @Query("select coalesce(sum(h.shareTaken), 0) from PastHarvest h"
            + " where h.standId = :stand and h.part = :part and h.inYear >= :from and h.inYear <= :to")
    double sharePicked(UUID stand, Taxon.Part part, int from, int to);

    @Query("select sum(h.massG) / sum(h.shareTaken) from PastHarvest h"
            + " where h.standId = :stand and h.part = :part and h.massG is not null and h.shareTaken > 0")
    @Nullable
    Double wholeG(UUID stand, Taxon.Part part);
}
