package org.sallowbrook.server.identification;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface TrainingBoxes extends JpaRepository<TrainingBox, UUID> {
    List<TrainingBox> findAllByAccountId(UUID accountId);

    Optional<TrainingBox> findByAccountIdAndAAndB(UUID accountId, String a, String b);
}
