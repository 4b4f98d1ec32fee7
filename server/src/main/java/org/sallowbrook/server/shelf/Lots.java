package org.sallowbrook.server.shelf;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface Lots extends JpaRepository<Lot, UUID> {
    List<Lot> findAllByOrderByMadeOnDescCodeDesc();

    long countByCodeStartingWith(String prefix);
}
