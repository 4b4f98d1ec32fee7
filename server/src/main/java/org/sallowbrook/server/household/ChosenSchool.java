package org.sallowbrook.server.household;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.sallowbrook.core.household.Question;
import org.sallowbrook.core.household.School;
import org.sallowbrook.server.platform.Owned;

/** A household's own answer to a question of schools. */
@Entity
@Table(name = "household_school")
class ChosenSchool extends Owned {

    @Enumerated(EnumType.STRING)
    Question question = Question.MEASURING;

    @Enumerated(EnumType.STRING)
    School school = School.WEIGHT_TO_VOLUME;

    String chosenBy = "";
    Instant chosenAt = Instant.EPOCH;

    protected ChosenSchool() {}

    ChosenSchool(UUID id, Question question) {
        super(id);
        this.question = question;
    }
}
