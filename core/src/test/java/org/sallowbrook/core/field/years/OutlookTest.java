package org.sallowbrook.core.field.years;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.sallowbrook.core.field.years.Outlook.Word;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.measure.InvalidInput;
import org.testng.annotations.Test;

public class OutlookTest {

    private static List<Count> counts(int... plants) {
        List<Count> counts = new ArrayList<>();
        for (int i = 0; i < plants.length; i++) {
            counts.add(new Count(LocalDate.of(1990 + i, 7, 1), plants[i], false, false));
        }
        return counts;
    }

    /** Morris and Doak, Quantitative Conservation Biology, 2002, table 3.1: drift 0.02134, scatter 0.01305. */
    @Test
    public void driftAndScatterAreThoseOfAPublishedCount() {
        Outlook.Drift drift = Outlook.Drift.of(counts(
                44, 47, 46, 44, 46, 45, 46, 40, 39, 39, 42, 39, 41, 40, 33, 36, 34, 39, 35, 34, 38, 36, 37, 41, 39, 51,
                47, 57, 48, 60, 65, 74, 69, 65, 57, 70, 81, 99, 99));
        assertThat(drift.mean()).isCloseTo(0.02134, within(0.0002));
        assertThat(drift.variance()).isCloseTo(0.01305, within(0.0002));
        assertThat(drift.steps()).isEqualTo(38);
    }

    @Test
    public void fewCountsSayNothing() {
        Outlook two = Outlook.of(counts(40, 20), Bearing.HERB, Taxon.Part.HERB, 0, 0.2);
        assertThat(two.word()).isEqualTo(Word.UNKNOWN);
        assertThat(two.line()).isEmpty();
        assertThat(two.bears()).isNull();
        LocalDate day = LocalDate.of(2026, 7, 1);
        List<Count> oneSummer = List.of(
                new Count(day, 40, false, false),
                new Count(day.plusDays(10), 20, false, false),
                new Count(day.plusDays(20), 10, false, false));
        assertThat(Outlook.of(oneSummer, Bearing.HERB, Taxon.Part.HERB, 0, 0).word())
                .isEqualTo(Word.UNKNOWN);
    }

    @Test
    public void aStandThatFallsSteadilyDeclinesAndOneThatStandsHolds() {
        assertThat(Outlook.of(counts(100, 85, 74, 62, 54, 46), Bearing.HERB, Taxon.Part.HERB, 0, 0)
                        .word())
                .isEqualTo(Word.DECLINES);
        assertThat(Outlook.of(counts(100, 103, 99, 101, 102, 100), Bearing.HERB, Taxon.Part.HERB, 0, 0)
                        .word())
                .isEqualTo(Word.HOLDS);
        assertThat(Outlook.of(counts(100, 60, 130, 80, 120, 90), Bearing.HERB, Taxon.Part.HERB, 0, 0)
                        .word())
                .isEqualTo(Word.UNKNOWN);
    }

    @Test
    public void rootsBringDownWhatLeavesDoNot() {
        List<Count> steady = counts(100, 103, 99, 101, 102, 100);
        assertThat(Outlook.of(steady, Bearing.HERB, Taxon.Part.ROOT, 0, 0.2).word())
                .isEqualTo(Word.DECLINES);
        assertThat(Outlook.of(steady, Bearing.HERB, Taxon.Part.ROOT, 0.2, 0.2).word())
                .isEqualTo(Word.HOLDS);
        assertThat(Bearing.TREE.growth(Taxon.Part.BARK, 0.1)).isLessThan(Bearing.TREE.growth(Taxon.Part.FRUIT, 0.1));
    }

    @Test
    public void untouchedAStandStandsStillAndTheMoreIsTakenTheLessItGrows() {
        for (Bearing b : Bearing.values()) {
            for (Taxon.Part part : Taxon.Part.values()) {
                assertThat(b.growth(part, 0)).isCloseTo(1, within(1e-12));
                double before = 1;
                for (double share = 0.1; share <= 1; share += 0.1) {
                    double now = b.growth(part, share);
                    assertThat(now).isLessThan(before).isNotNegative();
                    before = now;
                }
                double bears = b.bears(part, 1.03);
                assertThat(bears == 1 || Math.abs(1.03 * b.growth(part, bears) - 1) < 1e-4)
                        .isTrue();
                assertThat(b.bears(part, 0.98)).isZero();
            }
        }
    }

    /** A truth of another make: births and deaths of single plants, with good and bad years, and counts that miss some. */
    @Test
    public void theWordIsSeldomWrong() {
        Random random = new Random(20261126);
        int wrong = 0;
        int said = 0;
        for (int stand = 0; stand < 2000; stand++) {
            double trueGrowth = random.nextBoolean() ? 0.9 : 1.0;
            int[] seen = new int[7];
            double plants = 150;
            for (int y = 0; y < seen.length; y++) {
                seen[y] = (int) Math.round(plants * (0.9 + 0.1 * random.nextDouble()));
                double year = random.nextInt(4) == 0 ? 0.9 : 1.035;
                int lives = 0;
                for (int p = 0; p < plants; p++) {
                    lives += random.nextDouble() < 0.7 ? 1 : 0;
                    lives += random.nextDouble() < (trueGrowth * year - 0.7) ? 1 : 0;
                }
                plants = lives;
            }
            Word word = Outlook.of(counts(seen), Bearing.HERB, Taxon.Part.HERB, 0, 0)
                    .word();
            if (word != Word.UNKNOWN) {
                said++;
                wrong += (word == Word.HOLDS) == (trueGrowth < 0.95) ? 1 : 0;
            }
        }
        assertThat(said).isGreaterThan(600);
        assertThat((double) wrong / said).as("of %d said, wrong", said).isLessThan(0.1);
    }

    @Test
    public void nonsenseIsRefusedAtTheDoor() {
        assertThatThrownBy(() -> new Count(LocalDate.EPOCH, -1, false, false)).isInstanceOf(InvalidInput.class);
        assertThatThrownBy(() -> Outlook.of(List.of(), Bearing.HERB, Taxon.Part.HERB, Double.NaN, 0))
                .isInstanceOf(InvalidInput.class);
        assertThatThrownBy(() -> Outlook.of(List.of(), Bearing.HERB, Taxon.Part.HERB, 0, 1))
                .isInstanceOf(InvalidInput.class);
        assertThat(Outlook.of(counts(9, 3, 0, 0), Bearing.ONCE, Taxon.Part.SEED, 0, 0.2)
                        .line())
                .allSatisfy(y -> assertThat(y.band().low()).isBetween(0.0, y.middle()));
    }
}
