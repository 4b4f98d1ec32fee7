package org.sallowbrook.server.field;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface Stands extends JpaRepository<Stand, UUID> {
    List<Stand> findAllByOrderByName();

    boolean existsByTaxonId(String taxonId);
}
