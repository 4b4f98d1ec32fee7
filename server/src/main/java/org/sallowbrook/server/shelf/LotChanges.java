package org.sallowbrook.server.shelf;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface LotChanges extends JpaRepository<LotChange, UUID> {

    List<LotChange> findAllBySubjectId(UUID subjectId);

    List<LotChange> findAllByLotIdOrderByAtAscIdAsc(UUID lotId);

    List<LotChange> findAllByLotIdAndWhat(UUID lotId, LotChange.What what);
}
