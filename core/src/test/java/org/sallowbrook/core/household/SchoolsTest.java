package org.sallowbrook.core.household;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Map;
import org.sallowbrook.core.measure.InvalidInput;
import org.testng.annotations.Test;

public class SchoolsTest {

    @Test
    public void everyQuestionHasOneDefaultThatIsNotTheRiskyOne() {
        for (Question question : Question.values()) {
            assertThat(question.schools()).as(question.words()).hasSizeGreaterThan(1);
            assertThat(question.schools().stream().filter(School::isDefault)).hasSize(1);
            assertThat(question.usual().risk()).as(question.words()).isNull();
            assertThat(question.schools())
                    .allSatisfy(s -> assertThat(s.reason()).endsWith("."));
        }
    }

    @Test
    public void whatAHouseholdDoesNotChooseStaysOnTheSafeSide() {
        Schools schools = Schools.USUAL.with(School.LONG_LIFE);
        assertThat(schools.of(Question.KEEPING_TINCTURE)).isEqualTo(School.LONG_LIFE);
        assertThat(schools.of(Question.CHILD_DOSE)).isEqualTo(School.REFER_CHILD);
        assertThat(schools.isChosen(Question.CHILD_DOSE)).isFalse();
        assertThatThrownBy(() -> Schools.of(Map.of(Question.PRESSING, School.SIMMER)))
                .isInstanceOf(InvalidInput.class)
                .hasMessageContaining("SIMMER");
    }
}
