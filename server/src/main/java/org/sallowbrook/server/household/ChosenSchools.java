package org.sallowbrook.server.household;

import java.util.Optional;
import java.util.UUID;
import org.sallowbrook.core.household.Question;
import org.springframework.data.jpa.repository.JpaRepository;

interface ChosenSchools extends JpaRepository<ChosenSchool, UUID> {

    Optional<ChosenSchool> findByQuestion(Question question);
}
