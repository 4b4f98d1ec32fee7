package org.sallowbrook.server.field;

import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface Tags extends JpaRepository<TagEntity, UUID> {

    List<TagEntity> findAllByStandIdOrderByStake(UUID standId);

    List<TagEntity> findAllByConfirmedOnGreaterThanEqualOrderByStake(LocalDate from);
}
