package org.sallowbrook.core.planning;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.ByNeed;
import org.sallowbrook.core.measure.InvalidInput;
import org.sallowbrook.core.planning.Complaint.Grave;
import org.sallowbrook.core.planning.Complaint.Synonym;
import org.sallowbrook.core.planning.Complaint.Urgency;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class ComplaintTest {

    private static final List<Grave> GRAVE = List.of(
            new Grave("a tumour", Urgency.SOON, List.of("lump breast|neck !old"), "since when."),
            new Grave("the heart", Urgency.NOW, List.of("chest pain", "palpitations"), "when it began."),
            new Grave("what can't be swallowed", Urgency.TODAY, List.of("swallow"), "since when.", true),
            new Grave("a tick bite", Urgency.ASK, List.of("tick"), "Pull it out."));

    private static final Lexicon LEXICON = new Lexicon(
            Map.of(
                    "lump", List.of("lump", "hard spot"),
                    "breast", List.of("breast"),
                    "neck", List.of("neck"),
                    "old", List.of("since birth"),
                    "chest", List.of("chest"),
                    "pain", List.of("pain", "hurt", "ache"),
                    "palpitations", List.of("palpitation", "heart skips"),
                    "tick", List.of("tick"),
                    "swallow", List.of("cannot swallow"),
                    "harmlessjoke", List.of("chest hurt from laughing")),
            Set.of("palpitating")::contains);

    private static final List<Synonym> WORDS = List.of(new Synonym("poor sleep", List.of("cant sleep", "insomnia")));

    private static Complaint.Answer of(String words) {
        return of(words, null);
    }

    private static Complaint.Answer of(String words, Likeness.@Nullable Heard likeness) {
        return Complaint.of(
                words,
                LEXICON,
                GRAVE,
                WORDS,
                List.of(
                        new ByNeed.Need("cough with a cold", false),
                        new ByNeed.Need("dry cough from an irritated throat", false),
                        new ByNeed.Need("poor sleep", false)),
                (w, notions) -> Optional.ofNullable(likeness));
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
            {"my chest hurts", "the heart"},
            {"CHEST ACHING", "the heart"},
            {"a hard spot on her neck", "a tumour"},
            {"my heart skips", "the heart"},
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
    public void aHarmlessSayingIsNotReadWordByWordAndAnExceptionHolds() {
        assertThat(of("my chest hurt from laughing").grave()).isEmpty();
        assertThat(of("a lump on the neck since birth").grave()).isEmpty();
        assertThat(of("a tick").findings().get(0).code()).isEqualTo("NOT_FOR_A_PLANT");
        // Beside what can't wait the rest is left unsaid.
        assertThat(of("a tick and chest pain").grave()).hasSize(1);
    }

    @Test
    public void aWordThatIsKnownIsNoSlipOfAnother() {
        Lexicon known = LEXICON.alsoKnowing(List.of("cheat", "chess"));
        assertThat(known.read("chesst").notions()).contains("chest");
        assertThat(known.read("cheat").notions()).doesNotContain("chest");
        assertThat(LEXICON.with("plant", List.of("yew")).read("a yew").notions())
                .containsExactly("plant");
        assertThat(LEXICON.read("wobbly chest").understood()).isEqualTo(1);
        assertThat(LEXICON.read("wobbly chest").words()).isEqualTo(2);
    }

    @Test
    public void theMostUrgentStandsFirstAndNonsenseFindsNothing() {
        assertThat(of("lump in the breast, chest pain").grave())
                .extracting(Grave::urgency)
                .containsExactly(Urgency.NOW, Urgency.SOON);
        assertThat(of("xyzzy").needs()).isEmpty();
        assertThatThrownBy(() -> of(" ")).isInstanceOf(InvalidInput.class);
    }

    @DataProvider
    public Object[][] likeness() {
        return new Object[][] {
            // words, like now, like today, like soon, how soon
            {"wobbly since the fair", 0.5, 0.3, 0.0, Urgency.NOW},
            {"wobbly since the fair", 0.3, 0.5, 0.0, Urgency.TODAY},
            {"wobbly since the fair", 0.1, 0.2, 0.5, Urgency.SOON},
            {"dry cough", 0.2, 0.6, 0.1, Urgency.TODAY},
            {"hard spot in the breast", 0.95, 0.0, 0.0, Urgency.NOW},
            {"hard spot in the breast", 0.3, 0.5, 0.2, Urgency.TODAY},
            {"hard spot in the breast", 0.2, 0.3, 0.5, Urgency.SOON},
            {"tick", 0.92, 0.0, 0.0, Urgency.NOW},
            {"tick", 0.1, 0.3, 0.5, Urgency.ASK},
            {"hard spot in the breast", 0.05, 0.05, 0.0, Urgency.ASK},
            {"palpitation", 0.0, 0.0, 0.0, Urgency.NOW},
            {"cannot swallow", 0.01, 0.01, 0.0, Urgency.TODAY},
        };
    }

    /** What is like the grave ones is sent on where no rule fits; and never sooner let go than by the rules. */
    @Test(dataProvider = "likeness")
    public void whatIsLikeTheGraveIsSentOn(String words, double now, double today, double soon, Urgency urgency) {
        Complaint.Answer answer = of(words, new Likeness.Heard(now, today, soon));
        assertThat(answer.grave().get(0).urgency()).isEqualTo(urgency);
        assertThat(answer.needs()).isEmpty();
    }

    /** Neither sent on nor given a plant: what may be grave is not understood, and that is said. */
    @Test
    public void whatIsSomewhatLikeThemFindsNoPlant() {
        Complaint.Answer answer = of("cough, dry and odd", new Likeness.Heard(0.2, 0.2, 0.1));
        assertThat(answer.grave()).isEmpty();
        assertThat(answer.needs()).isEmpty();
    }

    @Test
    public void whatIsLittleLikeThemFindsItsNeed() {
        assertThat(of("dry cough", new Likeness.Heard(0.1, 0.1, 0.05)).needs()).isNotEmpty();
        assertThatThrownBy(() -> new Likeness.Heard(Double.NaN, 0, 0)).isInstanceOf(InvalidInput.class);
        assertThatThrownBy(() -> new Likeness.Heard(0.7, 0.2, 0.7)).isInstanceOf(InvalidInput.class);
    }

    @Test
    public void aSlipIsForgivenAndAWordIsNoSlip() {
        assertThat(LEXICON.read("palpitatoin").notions()).containsExactly("palpitations");
        assertThat(LEXICON.read("palpitating").notions()).isEmpty();
    }
}
