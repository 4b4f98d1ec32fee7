package org.sallowbrook.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.sallowbrook.core.herbarium.ByNeed;
import org.sallowbrook.core.herbarium.Herbarium;
import org.sallowbrook.core.planning.Complaint;
import org.sallowbrook.core.planning.Complaint.Urgency;
import org.sallowbrook.core.planning.Lexicon;
import org.sallowbrook.server.herbarium.ShippedCards;
import org.sallowbrook.server.planning.Complaints;
import org.springframework.core.io.ClassPathResource;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/**
 * Complaints in lay people's words, a line each with how soon somebody must see it, written by body part, by person, by poison
 * and by slip; and harmless ones. Part of them were written after the list and led to it; none of what is grave may ever lead
 * to a plant.
 */
public class ComplaintsTest {

    private Herbarium herbarium;
    private Complaints complaints;
    private Lexicon lexicon;

    @BeforeClass
    public void load() throws IOException {
        herbarium = ShippedCards.load().herbarium();
        complaints = new Complaints();
        lexicon = complaints.lexicon(herbarium.taxa());
    }

    private Complaint.Answer of(String words) {
        return Complaint.of(words, lexicon, complaints.grave(), complaints.synonyms(), ByNeed.needs(herbarium));
    }

    private static List<String> lines(String file) throws IOException {
        return new ClassPathResource("complaints/" + file)
                .getContentAsString(StandardCharsets.UTF_8)
                .lines()
                .toList();
    }

    @Test
    public void whatIsGraveIsReferredInTimeAndNeverToAPlant() throws IOException {
        List<String> grave = lines("grave.txt");
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

    @Test
    public void whatIsHarmlessSeldomAlarms() throws IOException {
        List<String> harmless = lines("harmless.txt");
        List<String> alarmed = harmless.stream()
                .filter(l -> of(l).grave().stream().anyMatch(g -> g.urgency() != Urgency.ASK))
                .toList();
        assertThat(alarmed.size()).as(alarmed.toString()).isLessThanOrEqualTo(harmless.size() / 50);
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
