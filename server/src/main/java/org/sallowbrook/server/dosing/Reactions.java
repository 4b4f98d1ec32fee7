package org.sallowbrook.server.dosing;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface Reactions extends JpaRepository<ReactionEntity, UUID> {
    List<ReactionEntity> findAllByPersonIdOrderByOnDayDescIdDesc(UUID personId);

    List<ReactionEntity> findAllByPersonIdInOrderByOnDayDescIdDesc(Collection<UUID> personIds);

    /** Ids are kept with spaces between. */
    @Query("select r from ReactionEntity r where concat(' ', r.taxa, ' ') like concat('% ', :taxon, ' %')"
            + " order by r.onDay desc, r.id desc")
    List<ReactionEntity> with(String taxon, Limit most);
}
