package org.sallowbrook.server.field;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface StandIdentifications extends JpaRepository<StandIdentification, UUID> {
    Optional<StandIdentification> findFirstByStandIdOrderByOnDayDescIdDesc(UUID standId);

    List<StandIdentification> findAllByStandIdOrderByOnDayDescIdDesc(UUID standId);
}
