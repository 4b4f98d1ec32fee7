package org.sallowbrook.server.herbarium;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface OwnCards extends JpaRepository<OwnCard, UUID> {

    Optional<OwnCard> findByTaxonId(String taxonId);

    List<OwnCard> findAllByOrderByTaxonId();

    /** Changes whenever a card of the household does. */
    @Query("select max(c.changedAt) from OwnCard c")
    @Nullable
    Instant newest();
}
