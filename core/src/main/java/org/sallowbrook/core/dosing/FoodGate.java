package org.sallowbrook.core.dosing;

import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.making.Product;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.Words;

/** Gates of a plant eaten as food: only what the card knows as one, within its limits, and counted into the day. */
final class FoodGate {

    private FoodGate() {}

    static void of(Case c, Product.Herb herb) {
        Taxon taxon = herb.taxon();
        if (taxon.foods().isEmpty()) {
            c.stop(
                    "NOT_A_FOOD",
                    "The card knows no food use of " + taxon.commonName() + ".",
                    "Do not eat it. If it is one in your own book, enter it on the card with the book's name.");
            return;
        }
        for (Taxon.Food food : taxon.foods()) {
            c.findings.add(Finding.note(
                    "FOOD",
                    "Known as food: " + food.what() + ".",
                    food.limit().isEmpty() ? "A little, as one among other things eaten." : food.limit()));
        }
        Interval equivalent = c.product.driedEquivalentGPerMl();
        double others = c.intake.others().stream()
                .filter(o -> o.taxon().id().equals(taxon.id()) && o.driedGPerDay() != null)
                .mapToDouble(o -> java.util.Objects.requireNonNull(o.driedGPerDay()))
                .sum();
        if (equivalent == null || !(c.intake.mostMlPerDay() > 0)) {
            return;
        }
        double perDay = c.intake.mostMlPerDay() * equivalent.high() * herb.fraction() + others;
        taxon.usedPart(herb.part()).stream()
                .flatMap(p -> p.doses().stream())
                .filter(d -> d.route() == Taxon.Route.INTERNAL)
                .mapToDouble(d -> d.driedGPerDay().high())
                .max()
                .ifPresent(most -> {
                    if (perDay > most) {
                        c.findings.add(Finding.warn(
                                "FOOD_ABOVE_DOSE",
                                "With what else is taken it comes to " + Words.grams(perDay) + " of dried "
                                        + taxon.commonName() + " today; the card's largest dose is "
                                        + Words.grams(most) + ".",
                                "Eat less of it on days when it is taken, or say why not."));
                    }
                });
    }
}
