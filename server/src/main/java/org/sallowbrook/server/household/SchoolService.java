package org.sallowbrook.server.household;

import java.time.Clock;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.household.Question;
import org.sallowbrook.core.household.School;
import org.sallowbrook.core.household.Schools;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.server.platform.Member;
import org.sallowbrook.server.platform.Owned;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Which school the household keeps to on each question that practitioners disagree about. */
@Service
@Transactional
public class SchoolService {

    public record SchoolView(
            School id,
            String words,
            String reason,
            @Nullable String risk,
            Boolean usual) {}

    /** @param chosen whether the household chose, rather than left the safer one */
    public record SchoolQuestionView(
            Question id, String words, School school, Boolean chosen, List<SchoolView> schools) {}

    public record ChoiceRequest(School school) {}

    private final ChosenSchools repository;
    private final Clock clock;

    SchoolService(ChosenSchools repository, Clock clock) {
        this.repository = repository;
        this.clock = clock;
    }

    /** For the reckoning. */
    @Transactional(readOnly = true)
    public Schools chosen() {
        Map<Question, School> chosen = new EnumMap<>(Question.class);
        repository.findAll().forEach(c -> chosen.put(c.question, c.school));
        return Schools.of(chosen);
    }

    @Transactional(readOnly = true)
    public List<SchoolQuestionView> all() {
        Schools schools = chosen();
        return Arrays.stream(Question.values())
                .filter(Question::offered)
                .map(q -> view(q, schools))
                .toList();
    }

    /** Chooses; choosing the same again changes nothing. */
    public SchoolQuestionView choose(Question question, ChoiceRequest request) {
        Checks.begin()
                .that(
                        request.school().question() == question
                                && request.school().offered(),
                        "school",
                        "does not answer this question")
                .done();
        ChosenSchool row =
                repository.findByQuestion(question).orElseGet(() -> new ChosenSchool(Owned.newId(), question));
        row.school = request.school();
        row.chosenBy = Member.current().displayName();
        row.chosenAt = clock.instant();
        repository.saveAndFlush(row);
        return view(question, chosen());
    }

    private static SchoolQuestionView view(Question q, Schools schools) {
        return new SchoolQuestionView(
                q,
                q.words(),
                schools.of(q),
                schools.isChosen(q),
                q.schools().stream()
                        .filter(School::offered)
                        .map(s -> new SchoolView(s, s.words(), s.reason(), s.risk(), s.isDefault()))
                        .toList());
    }
}
