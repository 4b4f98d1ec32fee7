package org.sallowbrook.core.shelf;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Interval;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class TogetherTest {

    private static final LocalDate TODAY = LocalDate.of(2026, 7, 15);
    private static final Set<Together.Herb> NETTLE = Set.of(new Together.Herb("stinging-nettle", Taxon.Part.LEAF));
    private static final Set<Together.Herb> LIME = Set.of(new Together.Herb("small-leaved-lime", Taxon.Part.FLOWER));

    private static Together.Jar jar(
            LotForm form, Set<Together.Herb> herbs, double amount, @Nullable Double strength, LocalDate best) {
        return new Together.Jar(
                form + " " + amount,
                form == LotForm.TINCTURE ? Stage.FILLED : Stage.STOCK,
                form,
                herbs,
                amount,
                false,
                strength,
                null,
                Interval.of(0.05, 0.06),
                Interval.of(0.2, 0.25),
                Taxon.Route.INTERNAL,
                TODAY.minusDays(30),
                best,
                null,
                null,
                null);
    }

    @DataProvider
    public Object[][] pairs() {
        LocalDate good = TODAY.plusDays(100);
        Together.Jar nettle = jar(LotForm.HERB, NETTLE, 40, null, good);
        Together.Jar tincture = jar(LotForm.TINCTURE, NETTLE, 40, 40.0, good);
        return new Object[][] {
            {nettle, jar(LotForm.HERB, NETTLE, 10, null, TODAY), List.of()},
            {nettle, jar(LotForm.HERB, LIME, 10, null, good), List.of("NOT_THE_SAME")},
            {nettle, jar(LotForm.POWDER, NETTLE, 10, null, good), List.of("NOT_THE_SAME")},
            {nettle, jar(LotForm.HERB, NETTLE, 10, null, TODAY.minusDays(1)), List.of("EXPIRED")},
            {tincture, jar(LotForm.TINCTURE, NETTLE, 10, 41.0, good), List.of()},
            {tincture, jar(LotForm.TINCTURE, NETTLE, 10, 41.1, good), List.of("STRENGTHS_APART")},
            {tincture, jar(LotForm.TINCTURE, NETTLE, 10, null, good), List.of("STRENGTHS_APART")},
        };
    }

    @Test(dataProvider = "pairs")
    public void onlyTheSameGoesIntoOneWhicheverIsPouredIntoWhich(Together.Jar a, Together.Jar b, List<String> codes) {
        assertThat(Together.whyNot(a, b, TODAY)).extracting(Finding::code).isEqualTo(codes);
        assertThat(Together.whyNot(b, a, TODAY)).extracting(Finding::code).isEqualTo(codes);
    }

    @Test
    public void nothingIsBetterTogetherThanTheWorseOfBoth() {
        Together.Jar a = jar(LotForm.TINCTURE, NETTLE, 30, 40.0, TODAY.plusDays(100));
        Together.Jar b = new Together.Jar(
                "b",
                Stage.FILLED,
                LotForm.TINCTURE,
                NETTLE,
                10,
                false,
                40.8,
                39.0,
                Interval.of(0.04, 0.09),
                Interval.of(0.1, 0.45),
                Taxon.Route.EXTERNAL,
                TODAY.minusDays(400),
                TODAY.plusDays(9),
                null,
                null,
                BoughtGate.Label.COMMON_NAME);
        Together.Jar both = Together.of("both", a, b);
        assertThat(both.amount()).isEqualTo(40);
        assertThat(both.strengthPercent()).isCloseTo(40.2, within(1e-9));
        assertThat(both.strengthLowPercent()).isEqualTo(39);
        assertThat(both.moisture()).isEqualTo(Interval.of(0.04, 0.09));
        assertThat(both.driedGPerUnit().low()).isCloseTo(0.175, within(1e-9));
        assertThat(both.driedGPerUnit().high()).isCloseTo(0.3, within(1e-9));
        assertThat(both.route()).isEqualTo(Taxon.Route.EXTERNAL);
        assertThat(both.madeOn()).isEqualTo(TODAY.minusDays(400));
        assertThat(both.bestBefore()).isEqualTo(TODAY.plusDays(9));
        assertThat(both.label()).isEqualTo(BoughtGate.Label.COMMON_NAME);
        assertThat(Together.of("both", b, a)).isEqualTo(both);
    }
}
