package org.sallowbrook.core.making;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Words;

/** Gates of the bench: what may go into a preparation. */
public final class MakingGate {

    /**
     * Something about to be used.
     *
     * @param route the widest it allows; a spirit, oil or wax that may be swallowed is INTERNAL
     * @param denatured methylated, isopropyl or otherwise spoilt spirit
     * @param pyrrolizidine whether anything in it holds pyrrolizidine alkaloids
     * @param bestBefore null when it has none
     */
    public record Ingredient(
            String name,
            Product.State state,
            Taxon.Route route,
            boolean denatured,
            boolean pyrrolizidine,
            @Nullable LocalDate bestBefore) {}

    private MakingGate() {}

    public static List<Finding> check(List<Ingredient> ingredients, Taxon.Route wanted, LocalDate on) {
        List<Finding> findings = new ArrayList<>();
        boolean internal = wanted == Taxon.Route.INTERNAL;
        for (Ingredient i : ingredients) {
            state(i, on, findings);
            if (internal && i.denatured()) {
                findings.add(Finding.stop(
                        "DENATURED_SPIRIT",
                        i.name() + " is poisonous to drink, and so is anything made with it.",
                        "Use drinking spirit."));
            }
            if (internal && i.pyrrolizidine()) {
                findings.add(Finding.stop(
                        "PYRROLIZIDINE",
                        i.name() + " holds pyrrolizidine alkaloids, which destroy the liver.",
                        "Never by mouth. On intact adult skin only."));
            } else if (internal && i.route() == Taxon.Route.EXTERNAL) {
                findings.add(Finding.stop(
                        "OUTSIDE_ONLY",
                        i.name() + " is for the outside of the body only.",
                        "Make a preparation for the skin, or take another herb."));
            }
        }
        return findings;
    }

    private static void state(Ingredient i, LocalDate on, List<Finding> findings) {
        switch (i.state()) {
            case QUARANTINED ->
                findings.add(Finding.stop(
                        "QUARANTINED",
                        i.name() + " comes from a source that is doubted.",
                        "Set it aside until cleared."));
            case DESTROYED ->
                findings.add(Finding.stop("DESTROYED", i.name() + " was thrown away.", "Choose another."));
            case HOLD ->
                findings.add(Finding.stop("ON_HOLD", i.name() + " is on hold.", "Resolve what holds it first."));
            case USABLE -> {}
        }
        if (i.bestBefore() != null && on.isAfter(i.bestBefore())) {
            findings.add(Finding.stop(
                    "EXPIRED",
                    i.name() + " is past its date, " + Words.day(i.bestBefore()) + ".",
                    "It is good for compost only."));
        }
    }

    /** The route of what is made: outside only as soon as one ingredient is. */
    public static Taxon.Route routeOf(List<Ingredient> ingredients) {
        return ingredients.stream()
                        .anyMatch(i -> i.route() == Taxon.Route.EXTERNAL || i.denatured() || i.pyrrolizidine())
                ? Taxon.Route.EXTERNAL
                : Taxon.Route.INTERNAL;
    }
}
