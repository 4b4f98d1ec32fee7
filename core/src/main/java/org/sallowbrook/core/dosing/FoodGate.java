package org.sallowbrook.core.dosing;

import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.making.Product;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.Words;

/** Gates of a plant eaten as food: only what the card knows as one, within its limits, and counted into the day. */
final class FoodGate {

    /** A helping of a leaf vegetable, some 150 g fresh, reckoned as dried herb; a working figure of this tool. */
    private static final double HELPING_DRIED_G = 30;

    /** A meal is no dose, and no licence for many of them either; a working figure of this tool. */
    private static final double TIMES_THE_DOSE = 2;

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
        Interval equivalent = c.product.driedGPerUnit();
        double others = c.intake.others().stream()
                .filter(o -> o.taxon().id().equals(taxon.id()) && o.driedGPerDay() != null)
                .mapToDouble(o -> java.util.Objects.requireNonNull(o.driedGPerDay()))
                .sum();
        if (equivalent == null || !(c.intake.mostPerDay() > 0)) {
            return;
        }
        double perDay = c.intake.mostPerDay() * equivalent.high() * herb.fraction() + others;
        Double dose = taxon.usedPart(herb.part()).stream()
                .flatMap(p -> p.using().doses().stream())
                .filter(d -> d.route() == Taxon.Route.INTERNAL)
                .map(d -> d.driedGPerDay().high())
                .max(Double::compare)
                .orElse(null);
        double most = dose == null ? HELPING_DRIED_G : TIMES_THE_DOSE * dose;
        String comes = "With what else is taken it comes to " + Words.grams(perDay) + " of dried " + taxon.commonName()
                + " today; ";
        if (perDay > most) {
            c.stop(
                    "FOOD_TOO_MUCH",
                    comes
                            + (dose == null
                                    ? "more than a helping of any kitchen herb."
                                    : "the card's largest dose is " + Words.grams(dose) + "."),
                    "Eat less of it, as one among other things. If it is eaten already, say so: it is kept, and counts.");
        } else if (dose != null && perDay > dose) {
            c.findings.add(Finding.note(
                    "FOOD_ABOVE_DOSE",
                    comes + "the card's largest dose is " + Words.grams(dose) + ".",
                    "A meal now and then; on days when it is taken as well eat something else."));
        }
    }
}
