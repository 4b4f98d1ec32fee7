package org.sallowbrook.server.dosing;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface ProfessionalAnswers extends JpaRepository<ProfessionalAnswer, UUID> {
    List<ProfessionalAnswer> findAllByPersonIdInOrderByOnDayDescIdDesc(Collection<UUID> personIds);
}
