package org.sallowbrook.core.field.season;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.sallowbrook.core.field.Site;
import org.sallowbrook.core.herbarium.Cards;
import org.sallowbrook.core.herbarium.Danger;
import org.sallowbrook.core.herbarium.LifeStage;
import org.sallowbrook.core.herbarium.Taxon;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class StagesSeenTest {

    private static LocalDate day(String text) {
        return LocalDate.parse(text);
    }

    private static StagesSeen met(String leaf, String flower) {
        return new StagesSeen(
                Map.of(),
                Map.of(
                        LifeStage.LEAFY, Map.of(2026, day(leaf)),
                        LifeStage.FLOWERING, Map.of(2026, day(flower))));
    }

    @Test
    public void betweenTwoLooksItBeganSomewhereInTheMiddle() {
        StagesSeen.Begun begun =
                met("2026-06-01", "2026-06-13").begun(LifeStage.FLOWERING).get(2026);
        assertThat(begun.on()).isEqualTo("2026-06-07");
        assertThat(begun.sdDays()).isCloseTo(12 / Math.sqrt(12), within(1e-9));
    }

    @Test
    public void aLoneLookOrTwoFarApartSayOnlyThatItHadBegun() {
        assertThat(met("2026-05-01", "2026-06-13").begun(LifeStage.FLOWERING)).isEmpty();
        assertThat(met("2026-05-14", "2026-06-13").begun(LifeStage.FLOWERING)).hasSize(1);
        // In leaf after it was in flower: another shoot, and nothing is learnt.
        assertThat(met("2026-07-01", "2026-06-13").begun(LifeStage.FLOWERING)).isEmpty();
        assertThat(met("2026-05-01", "2026-06-13").first(LifeStage.FLOWERING, 2026))
                .isEqualTo("2026-06-13");
        assertThat(met("2026-05-01", "2026-06-13").notYet(LifeStage.FLOWERING, 2026))
                .isEqualTo("2026-05-01");
        assertThat(met("2026-05-01", "2026-06-13").notYet(LifeStage.FLOWERING, 2025))
                .isNull();
    }

    @Test
    public void whatWasNotedAsItsBeginningIsIt() {
        StagesSeen seen = new StagesSeen(
                Map.of(LifeStage.FLOWERING, Map.of(2026, day("2026-06-10"))),
                met("2026-06-01", "2026-06-13").met());
        assertThat(seen.begun(LifeStage.FLOWERING).get(2026)).isEqualTo(new StagesSeen.Begun(day("2026-06-10"), 1));
        assertThat(seen.first(LifeStage.FLOWERING, 2026)).isEqualTo("2026-06-10");
    }

    private static Site site(Site.Ground ground, Site.Permission permission, Site.Plenty plenty, boolean isProtected) {
        return new Site(ground, permission, plenty, isProtected, null);
    }

    @DataProvider
    Object[][] marks() {
        Site good = site(Site.Ground.CLEAN, Site.Permission.GIVEN, Site.Plenty.PLENTIFUL, false);
        Taxon herb =
                Cards.card("x").part(0.5, 0.4, Set.of(Taxon.Route.INTERNAL)).build();
        Taxon deadly = Cards.card("y").danger(Danger.DEADLY).build();
        var soon = List.of(Readiness.State.LATER, Readiness.State.SOON);
        return new Object[][] {
            {herb, good, false, soon, StandMark.SOON},
            {herb, good, false, List.of(Readiness.State.OVER), StandMark.OVER},
            {herb, good, false, List.of(), StandMark.WATCHED},
            {null, good, false, List.of(), StandMark.UNKNOWN},
            {herb, good, true, soon, StandMark.KEEP_OFF},
            {deadly, good, false, soon, StandMark.KEEP_OFF},
            {
                herb,
                site(Site.Ground.CONTAMINATED, Site.Permission.GIVEN, Site.Plenty.PLENTIFUL, false),
                false,
                soon,
                StandMark.KEEP_OFF
            },
            {
                herb,
                site(Site.Ground.CLEAN, Site.Permission.REFUSED, Site.Plenty.PLENTIFUL, false),
                false,
                soon,
                StandMark.KEEP_OFF
            },
            {
                herb,
                site(Site.Ground.CLEAN, Site.Permission.GIVEN, Site.Plenty.PLENTIFUL, true),
                false,
                soon,
                StandMark.KEEP_OFF
            },
            {
                herb,
                site(Site.Ground.CLEAN, Site.Permission.GIVEN, Site.Plenty.DECLINING, false),
                false,
                soon,
                StandMark.WATCHED
            },
        };
    }

    @Test(dataProvider = "marks")
    public void nobodyIsSentWhereNothingMayBePicked(
            Taxon taxon, Site site, boolean doubted, List<Readiness.State> parts, StandMark mark) {
        assertThat(StandMark.of(taxon, site, doubted, parts)).isEqualTo(mark);
    }
}
