package org.sallowbrook.core.dosing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.List;
import java.util.Set;
import org.sallowbrook.core.dosing.Reaction.Degree;
import org.sallowbrook.core.dosing.Reaction.Noted;
import org.sallowbrook.core.dosing.Reaction.Sign;
import org.sallowbrook.core.herbarium.Cards;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.measure.InvalidInput;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class ReactionTest {

    private static final LocalDate DAY = LocalDate.of(2026, 7, 1);
    private static final Taxon DAISY = Cards.card("daisy").family("Asteraceae").build();
    private static final Taxon MARIGOLD =
            Cards.card("marigold").family("Asteraceae").build();
    private static final Taxon LIME = Cards.card("lime").build();

    private static Noted noted(Taxon of, Degree degree, Sign... signs) {
        return new Noted(Set.of(of), DAY, Set.of(signs), degree, 3.0);
    }

    private static List<String> check(Taxon taxon, Noted... history) {
        return Reaction.check("Ilse", List.of(taxon), List.of(history)).stream()
                .map(f -> f.severity() + " " + f.code())
                .toList();
    }

    @DataProvider
    public Object[][] histories() {
        Noted mild = noted(DAISY, Degree.MILD, Sign.ITCHING);
        return new Object[][] {
            {DAISY, new Noted[] {}, List.of()},
            {DAISY, new Noted[] {mild}, List.of("WARN REACTED_MILDLY")},
            // What comes back is not mild.
            {DAISY, new Noted[] {mild, noted(DAISY, Degree.MILD, Sign.NAUSEA)}, List.of("STOP REACTED_AGAIN")},
            {DAISY, new Noted[] {noted(DAISY, Degree.MODERATE, Sign.NAUSEA)}, List.of("STOP REACTED")},
            // However mild somebody calls it.
            {DAISY, new Noted[] {noted(DAISY, Degree.MILD, Sign.BREATH)}, List.of("STOP REACTED")},
            {MARIGOLD, new Noted[] {mild}, List.of("WARN REACTED_TO_FAMILY")},
            {MARIGOLD, new Noted[] {noted(DAISY, Degree.SEVERE, Sign.DIARRHOEA)}, List.of()},
            {LIME, new Noted[] {noted(DAISY, Degree.SEVERE, Sign.BREATH)}, List.of()},
        };
    }

    @Test(dataProvider = "histories")
    public void whatWasNotBorneCountsForWhatIsGivenNext(Taxon taxon, Noted[] history, List<String> findings) {
        assertThat(check(taxon, history)).isEqualTo(findings);
    }

    /** Nobody knows which of two herbs did it. */
    @Test
    public void eachHerbOfAMixtureIsSuspect() {
        Noted both = new Noted(Set.of(DAISY, LIME), DAY, Set.of(Sign.RASH), Degree.MODERATE, null);
        assertThat(check(DAISY, both)).containsExactly("STOP REACTED");
        assertThat(check(LIME, both)).containsExactly("STOP REACTED");
    }

    @Test
    public void dangerSendsForHelpAndTellsWhatAndWhen() {
        assertThat(Reaction.now(noted(DAISY, Degree.MILD, Sign.SWELLING)).get(0).action())
                .contains("Call for help now");
        assertThat(Reaction.now(noted(DAISY, Degree.MILD, Sign.ITCHING)).get(0).code())
                .isEqualTo("REACTED_MILDLY");
        assertThat(noted(DAISY, Degree.MODERATE, Sign.RASH, Sign.ITCHING).words())
                .isEqualTo("itching and a rash, moderate, 3 hours after, on 1 Jul 2026");
        assertThatThrownBy(() -> new Noted(Set.of(DAISY), DAY, Set.of(), Degree.MILD, null))
                .isInstanceOf(InvalidInput.class);
        assertThatThrownBy(() -> new Noted(Set.of(DAISY), DAY, Set.of(Sign.RASH), Degree.MILD, Double.NaN))
                .isInstanceOf(InvalidInput.class);
    }

    @Test
    public void aTrialIsForgottenAfterTwoYearsWithoutIt() {
        List<LocalDate> tried = List.of(DAY);
        assertThat(FirstTrial.holds(List.of(), List.of(DAY), DAY)).isFalse();
        assertThat(FirstTrial.holds(tried, List.of(), DAY.plusDays(730))).isTrue();
        // Neither an older trial nor an older dose takes anything from the newest.
        assertThat(FirstTrial.holds(List.of(DAY, DAY.minusDays(50)), List.of(DAY.minusDays(20)), DAY.plusDays(730)))
                .isTrue();
        assertThat(FirstTrial.holds(List.of(DAY.minusDays(50), DAY), List.of(), DAY.plusDays(730)))
                .isTrue();
        assertThat(FirstTrial.holds(tried, List.of(), DAY.plusDays(731))).isFalse();
        assertThat(FirstTrial.holds(tried, List.of(DAY.plusDays(200)), DAY.plusDays(731)))
                .isTrue();
    }
}
