package org.sallowbrook.server.planning;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface Wishes extends JpaRepository<WishEntity, UUID> {

    List<WishEntity> findAllByThrownAwayAtIsNullOrderByPlaceAscIdAsc();

    long countByThrownAwayAtIsNull();
}
