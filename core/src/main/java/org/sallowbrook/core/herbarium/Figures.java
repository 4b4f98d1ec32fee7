package org.sallowbrook.core.herbarium;

import java.util.Set;

/** Names for the figures of a card, by which a household ticks each with its own book and page. */
public final class Figures {

    /** What the plant looks like. */
    public static final String DESCRIPTION = "description";

    private Figures() {}

    public static String of(Taxon.UsedPart part, Taxon.DoseRange dose) {
        return part.part() + "/dose/" + dose.use() + "/" + dose.form() + "/" + dose.fromAgeYears();
    }

    public static String tea(Taxon.UsedPart part) {
        return part.part() + "/tea";
    }

    public static String spirit(Taxon.UsedPart part) {
        return part.part() + "/spirit";
    }

    public static String of(Taxon.Use use) {
        return "use/" + use.name() + "/" + use.route();
    }

    public static String of(Taxon.Caution caution) {
        return "caution/" + caution.subject() + "/" + caution.value();
    }

    /** The card with the sources of ticked figures marked CHECKED. */
    public static Taxon checked(Taxon t, Set<String> ticked) {
        if (ticked.isEmpty()) {
            return t;
        }
        return new Taxon(
                t.id(),
                t.draft(),
                t.naming(),
                t.growth(),
                t.harm(),
                t.looks(),
                new Taxon.Usage(
                        t.parts().stream().map(p -> part(p, ticked)).toList(),
                        t.constituents(),
                        t.actions(),
                        t.uses().stream()
                                .map(u -> ticked.contains(of(u))
                                        ? u.from(u.source().checked())
                                        : u)
                                .toList(),
                        t.foods()),
                t.cautions().stream()
                        .map(c -> ticked.contains(of(c))
                                ? new Taxon.Caution(
                                        c.subject(),
                                        c.value(),
                                        c.status(),
                                        c.severity(),
                                        c.effect(),
                                        c.source().checked())
                                : c)
                        .toList(),
                ticked.contains(DESCRIPTION) ? t.source().checked() : t.source());
    }

    private static Taxon.UsedPart part(Taxon.UsedPart p, Set<String> ticked) {
        Taxon.SpiritAdvice spirit = p.using().spirit();
        Taxon.TeaAdvice tea = p.using().tea();
        return new Taxon.UsedPart(
                p.part(),
                p.gathering(),
                p.drying(),
                p.keeping(),
                new Taxon.Using(
                        p.using().routes(),
                        spirit != null && ticked.contains(spirit(p))
                                ? new Taxon.SpiritAdvice(
                                        spirit.ratio(),
                                        spirit.menstruumPercent(),
                                        spirit.source().checked())
                                : spirit,
                        tea != null && ticked.contains(tea(p))
                                ? new Taxon.TeaAdvice(
                                        tea.method(),
                                        tea.minutes(),
                                        tea.gramsPerCup(),
                                        tea.cupMl(),
                                        tea.source().checked())
                                : tea,
                        p.using().doses().stream()
                                .map(d -> ticked.contains(of(p, d))
                                        ? new Taxon.DoseRange(
                                                d.use(),
                                                d.route(),
                                                d.form(),
                                                d.fromAgeYears(),
                                                d.driedGPerDay(),
                                                d.mostDays(),
                                                d.source().checked())
                                        : d)
                                .toList(),
                        p.using().contents()),
                p.source());
    }
}
