package org.sallowbrook.server.herbarium;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface FigureChecks extends JpaRepository<FigureCheck, UUID> {

    List<FigureCheck> findAllByTaxonId(String taxonId);

    Optional<FigureCheck> findByTaxonIdAndFigure(String taxonId, String figure);
}
