package org.sallowbrook.core.herbarium;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import org.sallowbrook.core.herbarium.Complaint.Grave;
import org.sallowbrook.core.herbarium.Complaint.Synonym;
import org.sallowbrook.core.herbarium.Complaint.Urgency;
import org.sallowbrook.core.measure.InvalidInput;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class ComplaintTest {

    private static final List<Grave> GRAVE = List.of(
            new Grave("a tumour", Urgency.SOON, List.of("lump breast"), "since when."),
            new Grave("the heart", Urgency.NOW, List.of("chest pain", "palpitations"), "when it began."));

    private static final List<Synonym> WORDS = List.of(new Synonym("poor sleep", List.of("cant sleep", "insomnia")));

    private static Complaint.Answer of(String words) {
        return Complaint.of(
                words,
                GRAVE,
                WORDS,
                List.of(
                        new ByNeed.Need("cough with a cold", false),
                        new ByNeed.Need("dry cough from an irritated throat", false),
                        new ByNeed.Need("poor sleep", false)));
    }

    @DataProvider
    public Object[][] said() {
        return new Object[][] {
            {"dry cough", "dry cough from an irritated throat"},
            {"a dri cuogh, throat irritatted", "dry cough from an irritated throat"},
            {"Cough with cold", "cough with a cold"},
            {"I can’t sleep", "poor sleep"},
            {"insomina", "poor sleep"},
        };
    }

    @Test(dataProvider = "said")
    public void typingErrorsAndOtherWordsFindTheNeed(String words, String need) {
        assertThat(of(words).grave()).isEmpty();
        assertThat(of(words).needs().get(0)).isEqualTo(need);
    }

    @DataProvider
    public Object[][] graves() {
        return new Object[][] {
            {"pain in my chest", "the heart"},
            {"chest pains and a dry cough", "the heart"},
            {"palpitatons", "the heart"},
            {"there is a lump in the left breast", "a tumour"},
        };
    }

    @Test(dataProvider = "graves")
    public void whatMayBeGraveIsReferredWhateverElseFits(String words, String grave) {
        Complaint.Answer answer = of(words);
        assertThat(answer.grave()).extracting(Grave::name).containsExactly(grave);
        assertThat(answer.needs()).isEmpty();
        assertThat(answer.findings().get(0).code()).isEqualTo("GRAVE_ILLNESS");
    }

    @Test
    public void theMostUrgentStandsFirstAndNonsenseFindsNothing() {
        assertThat(of("lump in the breast, chest pain").grave())
                .extracting(Grave::urgency)
                .containsExactly(Urgency.NOW, Urgency.SOON);
        assertThat(of("xyzzy").needs()).isEmpty();
        assertThatThrownBy(() -> of(" ")).isInstanceOf(InvalidInput.class);
    }
}
