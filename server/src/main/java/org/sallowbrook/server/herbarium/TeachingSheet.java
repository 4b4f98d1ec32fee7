package org.sallowbrook.server.herbarium;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.sallowbrook.core.herbarium.CharacterDefinition;
import org.sallowbrook.core.herbarium.Frequency;
import org.sallowbrook.core.herbarium.Herbarium;
import org.sallowbrook.core.herbarium.LifeStage;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.herbarium.Telling;
import org.sallowbrook.core.measure.Words;
import org.sallowbrook.server.documents.Sheet;

/** A plant beside each that it is taken for, and what tells the two apart at one stage: to be learnt from, plant in hand. */
final class TeachingSheet {

    private static final int MOST = 9;
    private static final int STATES = 3;

    private TeachingSheet() {}

    static Sheet of(Herbarium all, Taxon t, LifeStage stage) {
        Sheet.Builder sheet = Sheet.a4(WallCard.capital(t.commonName()) + " and what it is taken for");
        sheet.text(t.name(), Sheet.Tone.LATIN)
                .text("Stage: " + Words.lower(stage) + ". "
                        + WallCard.capital(t.growth().habitat()) + ".");
        for (Taxon.LookAlike likeness : t.lookAlikes()) {
            all.taxon(likeness.taxon()).ifPresent(other -> beside(sheet, all, t, other, likeness, stage));
        }
        if (t.lookAlikes().isEmpty()) {
            sheet.text("No look-alike is on its card"
                    + (t.looks().checked()
                            ? "; somebody went through them."
                            : ", and nobody has gone through them yet."));
        }
        return sheet.text(
                        "What is usual is not so of each: a young, a shaded or a grazed plant may look otherwise. Look at several"
                                + " things on several plants; what you are not sure of you leave.",
                        Sheet.Tone.SOFT)
                .done();
    }

    private static void beside(
            Sheet.Builder sheet, Herbarium all, Taxon t, Taxon other, Taxon.LookAlike likeness, LifeStage stage) {
        sheet.heading(WallCard.capital(other.commonName()))
                .text(other.name(), Sheet.Tone.LATIN)
                .text(WallCard.danger(other), Sheet.Tone.GRAVE)
                .text(likeness.tells());
        if (!other.months().containsKey(stage)) {
            sheet.text(
                    "It is not known " + Words.lower(stage) + " on its card: compare them at another stage.",
                    Sheet.Tone.SOFT);
            return;
        }
        List<Sheet.Row> rows = Telling.between(all, t, other, stage).stream()
                .sorted(Comparator.comparing(c -> !likeness.decisive().contains(c)))
                .limit(MOST)
                .map(c -> Objects.requireNonNull(all.character(c)))
                .map(c -> new Sheet.Row(
                        WallCard.capital(c.name()),
                        t.commonName() + " " + mostly(t, c, stage) + "; " + other.commonName() + " "
                                + mostly(other, c, stage)))
                .toList();
        sheet.rows(rows);
        if (!Telling.enough(all, t, other, stage)) {
            sheet.text("At this stage looking does not tell them for sure.", Sheet.Tone.GRAVE);
        }
    }

    /** What most of them show, in few words; that some differ is said below. */
    private static String mostly(Taxon taxon, CharacterDefinition c, LifeStage stage) {
        Map<String, Frequency> states = taxon.statesOf(c.id(), stage);
        List<String> most = states == null
                ? List.of()
                : states.entrySet().stream()
                        .filter(e -> e.getValue().word() == Frequency.Word.ALWAYS
                                || e.getValue().word() == Frequency.Word.USUAL)
                        .sorted(Comparator.comparingDouble((Map.Entry<String, Frequency> e) ->
                                -e.getValue().share()))
                        .limit(STATES)
                        .map(e -> c.wordsFor(e.getKey()))
                        .toList();
        return most.isEmpty() ? "now so, now otherwise" : String.join(" or ", most);
    }

    static String words(Taxon taxon, CharacterDefinition c, LifeStage stage) {
        Map<String, Frequency> states = taxon.statesOf(c.id(), stage);
        return states == null
                ? ""
                : String.join(
                        " or ",
                        states.entrySet().stream()
                                .filter(e -> e.getValue().word() != Frequency.Word.POSSIBLE)
                                .map(e -> c.wordsFor(e.getKey()))
                                .toList());
    }
}
