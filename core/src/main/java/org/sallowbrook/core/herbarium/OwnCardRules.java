package org.sallowbrook.core.herbarium;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.Herbarium.Problem;

/**
 * What a household may not do to a card that ships: make a plant look safer than the card says. Names, places, months,
 * figures and further cautions are its own.
 */
public final class OwnCardRules {

    private OwnCardRules() {}

    /** Everything in the household's card that would weaken the shipped one. */
    public static List<Problem> weakened(Taxon shipped, Taxon own) {
        List<Problem> problems = new ArrayList<>();
        if (own.danger().ordinal() < shipped.danger().ordinal()) {
            wrong(problems, own, "danger", "may not be called less dangerous than " + shipped.danger());
        }
        if (!own.name().equals(shipped.name())) {
            wrong(
                    problems,
                    own,
                    "name",
                    "is the card of " + shipped.name() + "; another plant needs a card of its own");
        }
        if (shipped.danger().dangerous()
                && !(own.characters().equals(shipped.characters())
                        && own.regions().equals(shipped.regions()))) {
            wrong(problems, own, "characters", "the characters of a dangerous plant are fixed");
        }
        for (Taxon.LookAlike likeness : shipped.lookAlikes()) {
            Taxon.LookAlike kept = own.lookAlike(likeness.taxon()).orElse(null);
            if (kept == null || !likeness.decisive().containsAll(kept.decisive())) {
                wrong(
                        problems,
                        own,
                        kept == null ? "lookAlikes" : likeness.taxon(),
                        "the look-alike " + likeness.taxon() + " must stay, with no further decisive characters");
            }
        }
        if (!own.constituents().containsAll(shipped.constituents())) {
            wrong(problems, own, "constituents", "constituents must stay: safety rules follow from them");
        }
        Set<String> actions =
                Set.copyOf(own.actions().stream().map(Taxon.Action::name).toList());
        if (!actions.containsAll(
                shipped.actions().stream().map(Taxon.Action::name).toList())) {
            wrong(problems, own, "actions", "actions must stay: cautions follow from them");
        }
        cautions(shipped, own, problems);
        uses(shipped, own, problems);
        return problems;
    }

    private static void cautions(Taxon shipped, Taxon own, List<Problem> problems) {
        for (Taxon.Caution caution : shipped.cautions()) {
            boolean kept = own.cautions().stream()
                    .anyMatch(c -> c.subject() == caution.subject()
                            && c.value().equals(caution.value())
                            && asStrict(c, caution));
            if (!kept) {
                wrong(
                        problems,
                        own,
                        caution.subject().name(),
                        "the caution " + caution.subject() + " " + caution.value() + " must stay as strict as it is");
            }
        }
    }

    private static boolean asStrict(Taxon.Caution own, Taxon.Caution shipped) {
        if (shipped.status() != Taxon.CautionStatus.PRESENT) {
            return true;
        }
        return own.status() == Taxon.CautionStatus.PRESENT
                && own.severity() != null
                && shipped.severity() != null
                && own.severity().ordinal() <= shipped.severity().ordinal();
    }

    private static void uses(Taxon shipped, Taxon own, List<Problem> problems) {
        for (Taxon.UsedPart part : own.parts()) {
            Taxon.UsedPart known = shipped.usedPart(part.part()).orElse(null);
            if (known != null && !known.routes().containsAll(part.routes())) {
                wrong(problems, own, part.part().name(), part.part() + " may not get a route the card does not allow");
            }
            if (known != null && !known.contents().stream().allMatch(c -> keptCeiling(c, part))) {
                wrong(problems, own, part.part().name(), "a ceiling of a constituent must stay, or be lower");
            }
            if (known == null && part.routes().contains(Taxon.Route.INTERNAL) && outsideOnly(shipped)) {
                wrong(problems, own, part.part().name(), "nothing of this plant may be taken by mouth");
            }
            if (shipped.danger().dangerous()) {
                wrong(problems, own, "parts", "a dangerous plant may not have parts to use");
            }
        }
        for (Taxon.Use use : shipped.uses()) {
            if (use.grave() && own.uses().stream().anyMatch(u -> u.name().equalsIgnoreCase(use.name()) && !u.grave())) {
                wrong(problems, own, use.name(), use.name() + " is a grave illness and stays marked so");
            }
        }
    }

    private static boolean keptCeiling(Taxon.Content shipped, Taxon.UsedPart own) {
        return own.contents().stream()
                .filter(c -> c.constituent() == shipped.constituent())
                .anyMatch(c -> c.mgPerG().high() >= shipped.mgPerG().high()
                        && asLow(c.mostMgPerDay(), shipped.mostMgPerDay())
                        && asLow(c.mostMgPerKgPerDay(), shipped.mostMgPerKgPerDay()));
    }

    private static boolean asLow(@Nullable Double own, @Nullable Double shipped) {
        return shipped == null || (own != null && own <= shipped);
    }

    private static boolean outsideOnly(Taxon shipped) {
        return !shipped.parts().isEmpty()
                && shipped.parts().stream().noneMatch(p -> p.routes().contains(Taxon.Route.INTERNAL));
    }

    private static void wrong(List<Problem> problems, Taxon own, String where, String message) {
        problems.add(new Problem(own.id(), where, message));
    }
}
