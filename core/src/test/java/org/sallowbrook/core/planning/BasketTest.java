package org.sallowbrook.core.planning;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Set;
import org.sallowbrook.core.herbarium.Cards;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.herbarium.Taxon.Route;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.InvalidInput;
import org.sallowbrook.core.planning.Basket.Makes;
import org.sallowbrook.core.planning.Basket.Product;
import org.testng.annotations.Test;

public class BasketTest {

    private static final Interval FOUR_TO_SIX = Interval.of(4, 6);

    private static Taxon.UsedPart part(Route... routes) {
        return Cards.card("a").part(0.5, 0.4, Set.of(routes)).build().parts().get(0);
    }

    /** 600 g fresh are 100 to 150 g dried; pressed at 1:5 each gram keeps 0.8 to 1.5 mL back. */
    @Test
    public void aBasketMakesWhatItsDriedHerbMakes() {
        List<Makes> makes = Basket.makes(part(Route.INTERNAL, Route.EXTERNAL), FOUR_TO_SIX, 600);
        assertThat(makes)
                .extracting(Makes::product)
                .containsExactly(Product.DRIED, Product.TINCTURE, Product.OIL, Product.SALVE);
        assertThat(makes.get(0).amount()).isEqualTo(Interval.of(100, 150));
        assertThat(makes.get(1).amount().low()).isCloseTo(350, within(1e-9));
        assertThat(makes.get(1).amount().high()).isCloseTo(630, within(1e-9));
        assertThat(makes.get(2).amount()).isEqualTo(Interval.of(500, 825));
    }

    @Test
    public void whoeverPicksTheUpperEndHasEnough() {
        Taxon.UsedPart part = part(Route.INTERNAL, Route.EXTERNAL);
        for (Product product : List.of(Product.DRIED, Product.TINCTURE, Product.OIL, Product.SALVE)) {
            for (double wanted : new double[] {1, 30, 250, 2000}) {
                Interval fresh =
                        Basket.freshFor(product, part, FOUR_TO_SIX, wanted).orElseThrow();
                double least = Basket.makes(part, FOUR_TO_SIX, fresh.high()).stream()
                        .filter(m -> m.product() == product)
                        .findFirst()
                        .orElseThrow()
                        .amount()
                        .low();
                assertThat(least).isCloseTo(wanted, within(wanted * 1e-9));
            }
        }
    }

    /** 100 mL pressed at 1:5, where each gram keeps up to 1.5 mL back: 28.6 g in 143 mL; 86 g of oil and 14 g of wax in a salve. */
    @Test
    public void whatIsPouredIsCountedSoThatItIsEnough() {
        Taxon.UsedPart part = part(Route.INTERNAL, Route.EXTERNAL);
        Basket.Takes tincture = Basket.takes(Product.TINCTURE, part, 100).orElseThrow();
        assertThat(tincture.driedG()).isCloseTo(100 / 3.5, within(1e-9));
        assertThat(tincture.spiritMl()).isCloseTo(500 / 3.5, within(1e-9));
        assertThat(tincture.alcoholMl()).isCloseTo(500 / 3.5 * 0.45, within(1e-9));
        Basket.Takes salve = Basket.takes(Product.SALVE, part, 100).orElseThrow();
        assertThat(salve.waxG()).isCloseTo(14, within(1e-9));
        assertThat(salve.oilMl() - 2 * salve.driedG()).isCloseTo(86 / 0.92, within(1.0));
        Basket.Takes both = tincture.and(salve);
        assertThat(both.alcoholMl()).isCloseTo(tincture.alcoholMl(), within(1e-9));
        assertThat(both.oilMl()).isEqualTo(salve.oilMl());
        assertThat(Basket.takes(Product.TINCTURE, part(Route.EXTERNAL), 100)).isEmpty();
    }

    @Test
    public void whatTheCardDoesNotAllowIsNotMade() {
        assertThat(Basket.makes(part(Route.EXTERNAL), FOUR_TO_SIX, 600))
                .extracting(Makes::product)
                .containsExactly(Product.DRIED, Product.OIL, Product.SALVE);
        assertThat(Basket.freshFor(Product.TINCTURE, part(Route.EXTERNAL), FOUR_TO_SIX, 100))
                .isEmpty();
        assertThat(Basket.freshFor(Product.TEA, part(Route.INTERNAL), FOUR_TO_SIX, 3))
                .isEmpty();
    }

    @Test
    public void nonsenseIsRefusedAtTheDoor() {
        assertThatThrownBy(() -> Basket.makes(part(Route.INTERNAL), FOUR_TO_SIX, Double.NaN))
                .isInstanceOf(InvalidInput.class);
        assertThatThrownBy(() -> Basket.makes(part(Route.INTERNAL), Interval.of(0.5, 2), 100))
                .isInstanceOf(InvalidInput.class);
    }
}
