package org.sallowbrook.core.herbarium;

import java.util.ArrayList;
import java.util.List;
import org.sallowbrook.core.herbarium.Taxon.Route;

/**
 * What a card is good for as it stands. Each step holds what the one before wants; nothing has to be known at once.
 *
 * @param wanting what the card does not say yet, as somebody reads it; empty where the step is reached
 */
public record GoodFor(Step step, List<String> wanting) {

    /** What is done with a plant, in the order in which its card grows. */
    public enum Step {
        RECOGNISE,
        GATHER,
        MAKE,
        ON_THE_SKIN,
        TAKE
    }

    public GoodFor {
        wanting = List.copyOf(wanting);
    }

    public boolean reached() {
        return wanting.isEmpty();
    }

    /**
     * Every step, in order.
     *
     * @param told whether a look can make it certain at any stage
     */
    public static List<GoodFor> of(Taxon taxon, boolean told) {
        List<String> recognise = recognise(taxon);
        if (recognise.isEmpty() && !told) {
            recognise.add(
                    "what tells it from everything dangerous: at no stage does the card say enough for that; \"When can I be"
                            + " sure?\" names what to look at");
        }
        List<String> gather = new ArrayList<>(recognise);
        gather(taxon, gather);
        List<String> make = new ArrayList<>(gather);
        if (taxon.uses().stream().allMatch(Taxon.Use::grave)) {
            make.add("what it is used for");
        }
        List<String> skin = new ArrayList<>(make);
        by(taxon, Route.EXTERNAL, "on the skin", skin);
        List<String> take = new ArrayList<>(make);
        by(taxon, Route.INTERNAL, "by mouth", take);
        boolean dosed = taxon.parts().stream()
                .flatMap(p -> p.using().doses().stream())
                .anyMatch(d -> d.route() == Route.INTERNAL);
        if (!dosed) {
            take.add("a dose by mouth, with where it is written");
        }
        return List.of(
                new GoodFor(Step.RECOGNISE, recognise),
                new GoodFor(Step.GATHER, gather),
                new GoodFor(Step.MAKE, make),
                new GoodFor(Step.ON_THE_SKIN, skin),
                new GoodFor(Step.TAKE, take));
    }

    private static List<String> recognise(Taxon taxon) {
        List<String> wanting = new ArrayList<>(CardCheck.described(taxon));
        if (!taxon.lookAlikesChecked()) {
            wanting.add("what it is taken for, looked up in a flora of this region");
        }
        return wanting;
    }

    private static void gather(Taxon taxon, List<String> wanting) {
        if (taxon.danger().dangerous()) {
            wanting.add("a harmless plant: nothing is gathered of a dangerous one");
        }
        if (taxon.parts().isEmpty()) {
            wanting.add("a part that is gathered");
        }
        wanting.addAll(CardCheck.cautioned(taxon));
        if (taxon.draft()) {
            wanting.add("the word that it is whole; it is a draft");
        }
    }

    private static void by(Taxon taxon, Route route, String words, List<String> wanting) {
        if (taxon.parts().stream().noneMatch(p -> p.using().routes().contains(route))) {
            wanting.add("a part that is used " + words);
        }
        if (taxon.uses().stream().noneMatch(u -> u.route() == route && !u.grave())) {
            wanting.add("a use " + words);
        }
    }
}
