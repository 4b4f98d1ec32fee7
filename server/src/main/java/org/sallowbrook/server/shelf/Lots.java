package org.sallowbrook.server.shelf;

import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface Lots extends JpaRepository<Lot, UUID> {
    List<Lot> findAllByOrderByMadeOnDescCodeDesc();

    @Query(
            "select distinct l.taxonId from Lot l where l.taxonId is not null and l.remaining > 0 and l.state = 'USABLE'")
    Set<String> taxaLeft();

    long countByCodeStartingWith(String prefix);
}
