package org.sallowbrook.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import org.sallowbrook.core.herbarium.ByNeed;
import org.sallowbrook.core.herbarium.Herbarium;
import org.sallowbrook.core.planning.Complaint;
import org.sallowbrook.core.planning.Complaint.Urgency;
import org.sallowbrook.core.planning.Lexicon;
import org.sallowbrook.core.planning.Likeness;
import org.sallowbrook.server.herbarium.ShippedCards;
import org.sallowbrook.server.planning.Complaints;
import org.sallowbrook.server.planning.EnglishWords;
import org.sallowbrook.server.planning.LearntLikeness;
import org.springframework.core.io.ClassPathResource;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/**
 * Complaints in lay people's words, a line each with how soon somebody must see it, written by body part, by person, by poison
 * and by slip; and harmless ones. These are learnt from, so they show that nothing of it was lost; those of the tests are not.
 */
public class ComplaintsTest {

    private Herbarium herbarium;
    private Complaints complaints;
    private Lexicon lexicon;
    private Likeness likeness;

    @BeforeClass
    public void load() throws IOException {
        herbarium = ShippedCards.load().herbarium();
        EnglishWords english = new EnglishWords();
        complaints = new Complaints(english);
        likeness = new LearntLikeness(english);
        lexicon = complaints.lexicon(herbarium.taxa());
    }

    private Complaint.Answer of(String words) {
        return Complaint.of(
                words, lexicon, complaints.grave(), complaints.synonyms(), ByNeed.needs(herbarium), likeness);
    }

    private static List<String> lines(String file) throws IOException {
        return new ClassPathResource(file)
                .getContentAsString(StandardCharsets.UTF_8)
                .lines()
                .toList();
    }

    @Test
    public void whatIsGraveIsReferredInTimeAndNeverToAPlant() throws IOException {
        List<String> grave = lines("planning/complaints/grave.txt");
        List<String> missed = grave.stream()
                .filter(l -> {
                    Complaint.Answer answer = of(l.split("\\|")[1]);
                    assertThat(answer.needs()).as(l).isEmpty();
                    return answer.grave().isEmpty()
                            || answer.grave().get(0).urgency().compareTo(Urgency.valueOf(l.split("\\|")[0])) > 0;
                })
                .toList();
        assertThat(missed.size()).as("too late or not at all: " + missed).isLessThanOrEqualTo(grave.size() / 50);
    }

    /** Neither rule nor lexicon nor what is learnt from has seen these. */
    @Test
    public void whatWasNeverSeenIsReferredAsWell() throws IOException {
        List<String> grave = lines("complaints/unseen.txt");
        List<String> missed = new ArrayList<>();
        List<String> late = new ArrayList<>();
        for (String line : grave) {
            String[] said = line.split("\\|");
            Complaint.Answer answer = of(said[1]);
            assertThat(answer.needs()).as(line).isEmpty();
            if (answer.grave().isEmpty()) {
                missed.add(line);
            } else if (answer.grave().get(0).urgency().compareTo(Urgency.valueOf(said[0])) > 0) {
                late.add(line);
            }
        }
        assertThat(missed.size() + late.size())
                .as("not referred: " + missed + ", too late: " + late)
                .isLessThanOrEqualTo(grave.size() / 20);
    }

    @Test
    public void whatIsHarmlessSeldomAlarms() throws IOException {
        List<String> harmless = lines("planning/complaints/harmless.txt");
        List<String> alarmed = harmless.stream().filter(this::alarms).toList();
        assertThat(alarmed.size()).as(alarmed.toString()).isLessThanOrEqualTo(harmless.size() / 50);
    }

    /** What rule, lexicon and learning have not seen: one in twenty may alarm. */
    @Test
    public void whatIsHarmlessAndWasNeverSeenSeldomAlarms() throws IOException {
        List<String> harmless = lines("complaints/unseen-harmless.txt");
        List<String> alarmed = harmless.stream().filter(this::alarms).toList();
        assertThat(alarmed.size()).as(alarmed.toString()).isLessThanOrEqualTo(harmless.size() / 20);
    }

    private boolean alarms(String words) {
        return of(words).grave().stream().anyMatch(g -> g.urgency() != Urgency.ASK);
    }

    /** A rake is no slip of anything, a misspelt word is. */
    @Test
    public void aWordIsNoSlipOfAnother() {
        assertThat(lexicon.read("gramophone").notions()).isEmpty();
        assertThat(lexicon.read("hedache").notions())
                .isEqualTo(lexicon.read("headache").notions());
    }

    /** Whatever is said of eating anything on a card is poisoning, in all of its names. */
    @Test
    public void eatenWithThePlantsNameIsPoisoning() {
        herbarium.taxa().stream()
                .filter(t -> t.danger().dangerous())
                .forEach(t -> t.commonNames()
                        .forEach(name -> assertThat(of("my child ate " + name).grave())
                                .as(name)
                                .first()
                                .extracting(Complaint.Grave::urgency)
                                .isEqualTo(Urgency.NOW)));
    }

    @DataProvider
    public Object[][] understood() {
        return new Object[][] {
            {"cant fall asleep", "poor sleep"},
            {"bloated after meals", "bloating after food"},
            {"runny nose", "cold with a running nose"},
            {"itchy insect bite", "itching skin"},
        };
    }

    @Test(dataProvider = "understood")
    public void whatIsHarmlessFindsItsNeed(String words, String need) {
        assertThat(of(words).needs()).contains(need);
    }

    /** One word that is written alike, out of several, is no need. */
    @Test
    public void aChanceLikenessIsNoNeed() {
        assertThat(of("bitten by something nobody saw").needs()).isEmpty();
        assertThat(of("wobbly gramophone needles").needs()).isEmpty();
    }
}
