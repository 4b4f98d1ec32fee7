package org.sallowbrook.server.shelf;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface LotLinks extends JpaRepository<LotLink, UUID> {
    List<LotLink> findAllByFromLotInOrToLotIn(Collection<UUID> from, Collection<UUID> to);
}
