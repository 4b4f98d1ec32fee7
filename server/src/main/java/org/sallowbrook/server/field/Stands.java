package org.sallowbrook.server.field;

import java.util.List;
import java.util.UUID;
import org.springframework.data.domain.Page;
import org.springframework.data.domain.Pageable;
import org.springframework.data.jpa.repository.JpaRepository;

interface Stands extends JpaRepository<Stand, UUID> {
    List<Stand> findAllByPutAwayOnIsNullOrderByName();

    Page<Stand> findAllByPutAwayOnIsNotNullOrderByPutAwayOnDescIdDesc(Pageable page);

    boolean existsByTaxonId(String taxonId);
}
