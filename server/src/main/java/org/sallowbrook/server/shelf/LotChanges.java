package org.sallowbrook.server.shelf;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface LotChanges extends JpaRepository<LotChange, UUID> {

    List<LotChange> findAllBySubjectId(UUID subjectId);

    List<LotChange> findAllByLotIdOrderByAtAscIdAsc(UUID lotId);

    @Query("select new org.sallowbrook.server.shelf.ShelfService$CameBack(l.name, l.code, c.reason, c.onDay, c.notedBy)"
            + " from LotChange c join Lot l on l.id = c.lotId where c.lotId in :lots and c.what = :back"
            + " order by c.at desc, c.id desc")
    List<ShelfService.CameBack> cameBack(Collection<UUID> lots, LotChange.What back, Limit most);

    List<LotChange> findAllByLotIdAndWhat(UUID lotId, LotChange.What what);
}
