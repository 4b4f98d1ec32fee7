package org.sallowbrook.core.identification;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.sallowbrook.core.herbarium.Cards;
import org.sallowbrook.core.herbarium.Danger;
import org.sallowbrook.core.herbarium.Frequency;
import org.sallowbrook.core.herbarium.Herbarium;
import org.sallowbrook.core.herbarium.LifeStage;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.identification.Identification.Observation;
import org.sallowbrook.core.identification.Identification.Request;
import org.sallowbrook.core.identification.Identification.Status;
import org.sallowbrook.core.identification.Training.Pair;
import org.sallowbrook.core.measure.InvalidInput;
import org.testng.annotations.Test;

/** Rounds of the trainer, and what practice asks of somebody's looks. */
public class TrainingTest {

    private static final String[] ALL = {"c0", "c1", "c2", "c3", "c4", "c5", "c6", "c7"};

    private static Herbarium herbarium() {
        Taxon good = Cards.card("good")
                .always("a", ALL)
                .part(0.5, 0.5, Set.of(Taxon.Route.INTERNAL))
                .lookAlike("bad", "c0")
                .lookAlike("mild", "c0")
                .build();
        Taxon bad = Cards.card("bad")
                .danger(Danger.DEADLY)
                .always("b", "c0", "c1", "c2", "c3")
                .shows("c4", Map.of("a", Frequency.USUAL, "b", Frequency.RARE))
                .always("a", "c5", "c6", "c7")
                .lookAlike("good", "c0")
                .build();
        Taxon mild = Cards.card("mild")
                .danger(Danger.POISONOUS)
                .always("c", ALL)
                .lookAlike("good", "c0")
                .build();
        return new Herbarium(Cards.vocabulary(8), List.of(good, bad, mild));
    }

    @Test
    public void deadlyPairsComeFirst() {
        assertThat(Training.pairs(herbarium())).containsExactly(new Pair("good", "bad"), new Pair("good", "mild"));
    }

    @Test
    public void everyRoundCanBeToldAndTheSeedMakesIt() {
        Herbarium herbarium = herbarium();
        Pair pair = new Pair("good", "bad");
        Set<String> truths = new HashSet<>();
        for (long seed = 0; seed < 200; seed++) {
            var round = Training.round(herbarium, pair, LifeStage.FLOWERING, seed);
            assertThat(Training.round(herbarium, pair, LifeStage.FLOWERING, seed))
                    .isEqualTo(round);
            truths.add(round.truth());
            Taxon truth = herbarium.taxon(round.truth()).orElseThrow();
            assertThat(round.shown())
                    .allSatisfy(o -> assertThat(truth.statesOf(o.character(), LifeStage.FLOWERING))
                            .containsKey(o.state()));
            var right = Training.judge(herbarium, round, round.truth(), "");
            assertThat(right.by()).as("something shown decides").isNotEmpty();
            assertThat(right.right()).isTrue();
            assertThat(right.rightReason()).isFalse();
            assertThat(Training.judge(
                                    herbarium, round, round.truth(), right.by().get(0))
                            .rightReason())
                    .isTrue();
            assertThat(Training.judge(herbarium, round, "nobody", right.by().get(0))
                            .right())
                    .isFalse();
        }
        assertThat(truths).containsExactlyInAnyOrder("good", "bad");
        assertThatThrownBy(() -> Training.round(herbarium, pair, LifeStage.WINTER, 1))
                .isInstanceOf(InvalidInput.class);
    }

    @Test
    public void boxesWaitLongerEachTime() {
        LocalDate day = LocalDate.of(2026, 7, 1);
        assertThat(Training.due(1, day)).isEqualTo(day.plusDays(1));
        assertThat(Training.due(5, day)).isEqualTo(day.plusDays(16));
        assertThat(Training.nextBox(1, true)).isEqualTo(2);
        assertThat(Training.nextBox(5, true)).isEqualTo(5);
        assertThat(Training.nextBox(4, false)).isEqualTo(1);
    }

    @Test
    public void practiceRaisesAnErrorRateAndNeverLowersIt() {
        assertThat(Training.error(0.03, 0, 1000)).isEqualTo(0.03);
        assertThat(Training.error(0.03, 2, 2)).as("two slips are chance").isEqualTo(0.03);
        assertThat(Training.error(0.03, 5, 10)).isCloseTo((5 + 0.6) / 30, within(1e-12));
        assertThat(Training.error(0.03, 1000, 1000)).isEqualTo(0.49);
    }

    /** Who is often wrong at what is shown must show more: four characters are no longer a million. */
    @Test
    public void whoIsOftenWrongMustShowMore() {
        Taxon good = Cards.card("good").always("a", ALL).build();
        Taxon bad = Cards.card("bad")
                .danger(Danger.DEADLY)
                .always("b", "c0", "c1", "c2", "c4")
                .build();
        Identifier identifier = new Identifier(new Herbarium(Cards.vocabulary(8), List.of(good, bad)));
        List<Observation> seen =
                java.util.Arrays.stream(ALL).map(c -> new Observation(c, "a")).toList();
        assertThat(status(identifier, seen, Map.of())).isEqualTo(Status.CONFIRMED);
        assertThat(status(identifier, seen, Map.of("c0", 0.2))).isEqualTo(Status.SECOND_WANTED);
        assertThat(status(identifier, seen, Map.of("c0", 0.0001)))
                .as("never lowered")
                .isEqualTo(Status.CONFIRMED);
    }

    private static Status status(Identifier identifier, List<Observation> seen, Map<String, Double> own) {
        return identifier
                .identify(
                        new Request(6, LifeStage.FLOWERING, "isle", Set.of(), seen, Set.of(), Set.of(), List.of(), own))
                .verdict()
                .status();
    }
}
