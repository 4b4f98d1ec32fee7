package org.sallowbrook.core.shelf;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Locale;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.measure.Finding;

/** Gates herb from a shop: nobody here has seen the plant, so its label is what the identity rests on. */
public final class BoughtGate {

    /** What the label says of the plant. */
    public enum Label {
        /** The scientific name and the part. */
        SCIENTIFIC_NAME,
        /** A common name only. */
        COMMON_NAME,
        /** None, torn, written by hand, or at odds with what is in the bag. */
        DOUBTFUL
    }

    private BoughtGate() {}

    /**
     * @param part what the label says it is
     * @param takenFor the plants it is taken for, by its card
     * @param mouldSeen or smelt, however little
     */
    public static List<Finding> check(
            Taxon taxon, Taxon.Part part, Collection<Taxon> takenFor, Label label, boolean mouldSeen) {
        List<Finding> findings = new ArrayList<>();
        if (mouldSeen) {
            findings.add(Finding.stop("MOULD", "It shows or smells of mould.", "Throw it away or take it back."));
        }
        if (taxon.danger().dangerous()) {
            findings.add(Finding.stop(
                    "DANGEROUS_PLANT",
                    taxon.commonName() + " is " + taxon.danger().name().toLowerCase(Locale.ROOT) + ".",
                    "It has no place on this shelf."));
        } else if (taxon.draft()) {
            findings.add(Finding.stop(
                    "DRAFT_CARD",
                    "The card of " + taxon.commonName() + " is a draft: its safety fields are not filled.",
                    "Fill the card first."));
        } else if (taxon.usedPart(part).isEmpty()) {
            findings.add(Finding.stop(
                    "PART_NOT_USED",
                    "The card of " + taxon.commonName() + " names no use of this part.",
                    "Check the label, or the card."));
        }
        boolean shared = !taxon.ambiguousNames().isEmpty();
        boolean deadlyDouble = takenFor.stream().anyMatch(t -> t.danger().dangerous());
        if (label == Label.DOUBTFUL) {
            findings.add(Finding.hold(
                    "LABEL_DOUBTFUL",
                    "Its label does not say for certain what it is, and dried herb can hardly be told.",
                    "Ask the supplier for the scientific name and the lot; until then it is not used."));
        } else if (label == Label.COMMON_NAME && (shared || deadlyDouble)) {
            findings.add(Finding.hold(
                    "LABEL_COMMON_NAME",
                    deadlyDouble
                            ? "It has a dangerous look-alike, and only a common name vouches for it."
                            : "Other plants bear the same common name.",
                    "Ask the supplier for the scientific name and the lot; until then it is not used."));
        }
        return findings;
    }
}
