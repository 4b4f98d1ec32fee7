package org.sallowbrook.server.herbarium;

import java.time.Month;
import java.time.format.TextStyle;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Stream;
import org.sallowbrook.core.herbarium.Herbarium;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.household.MedicineClass;
import org.sallowbrook.core.measure.Severity;
import org.sallowbrook.core.measure.Words;
import org.sallowbrook.server.documents.Sheet;

/** A plant for the wall: what it must not be taken for, its year, each part of it, and for whom it is not. */
final class WallCard {

    private static final int MONTHS = 12;

    private WallCard() {}

    static Sheet of(Herbarium all, Taxon t) {
        Sheet.Builder sheet = Sheet.a4(capital(t.commonName()));
        sheet.text(t.name(), Sheet.Tone.LATIN);
        sheet.text("Family " + t.naming().family() + "; " + t.growth().lifeForm() + ". "
                + capital(t.growth().habitat()) + ".");
        sheet.text(danger(t), Sheet.Tone.GRAVE);
        if (t.draft()) {
            sheet.text("A draft: nothing is gathered by this card.", Sheet.Tone.GRAVE);
        }
        if (!t.lookAlikes().isEmpty()) {
            sheet.heading("What it must not be taken for").rows(likenesses(all, t));
        }
        sheet.heading("Its year").rows(year(t));
        t.parts().forEach(p -> sheet.heading(capital(Words.lower(p.part()))).rows(part(p)));
        List<String> not = cautions(t);
        if (!not.isEmpty()) {
            sheet.heading("For whom it is not, and when to take care").points(not);
        }
        List<String> hazards = Stream.concat(
                        t.harm().hazards().entrySet().stream()
                                .map(h -> capital(Words.lower(h.getKey())) + ": " + h.getValue()),
                        Stream.of(t.harm().washing()).filter(w -> !w.isBlank()))
                .toList();
        if (!hazards.isEmpty()) {
            sheet.heading("What it does to whoever meets it").points(hazards);
        }
        return sheet.text(t.growth().protection(), Sheet.Tone.SOFT)
                .text(
                        "From the card of " + t.source().title() + ", "
                                + t.source().year()
                                + ". No picture or list replaces somebody who knows the plant; the local law comes first.",
                        Sheet.Tone.SOFT)
                .done();
    }

    static String danger(Taxon t) {
        return switch (t.danger()) {
            case DEADLY -> "Deadly poisonous";
            case POISONOUS -> "Poisonous";
            case IRRITANT -> "Irritates the skin";
            case WEAKER, HARMLESS -> "";
        };
    }

    private static List<Sheet.Row> likenesses(Herbarium all, Taxon t) {
        return t.lookAlikes().stream()
                .flatMap(l -> all.taxon(l.taxon()).stream().map(other -> new Sheet.Row(called(other), l.tells())))
                .toList();
    }

    static String called(Taxon t) {
        String danger = danger(t);
        return t.commonName() + (danger.isEmpty() ? "" : ", " + danger.toLowerCase(Locale.ROOT));
    }

    private static List<Sheet.Row> year(Taxon t) {
        List<Sheet.Row> rows = new ArrayList<>();
        t.months().entrySet().stream()
                .sorted(java.util.Map.Entry.comparingByKey())
                .forEach(e -> rows.add(new Sheet.Row(capital(Words.lower(e.getKey())), months(e.getValue()))));
        t.parts().stream()
                .filter(p -> !p.gathering().months().isEmpty())
                .forEach(p -> rows.add(new Sheet.Row(
                        "Gathered, " + Words.lower(p.part()),
                        bar(p.gathering().months()) + " " + months(p.gathering().months()))));
        return rows;
    }

    /** One box for each month of the year, dark where it is. */
    private static String bar(Set<Integer> months) {
        StringBuilder bar = new StringBuilder();
        for (int m = 1; m <= MONTHS; m++) {
            bar.append(months.contains(m) ? '\u25a0' : '\u25a1');
        }
        return bar.toString();
    }

    /** Such as "April to June, September"; what goes over the turn of the year is one stretch. */
    static String months(Set<Integer> months) {
        if (months.size() == MONTHS) {
            return "all year";
        }
        List<String> stretches = new ArrayList<>();
        for (int m = 1; m <= MONTHS; m++) {
            if (months.contains(m) && !months.contains(before(m))) {
                int last = m;
                while (months.contains(after(last))) {
                    last = after(last);
                }
                stretches.add(last == m ? name(m) : name(m) + " to " + name(last));
            }
        }
        return String.join(", ", stretches);
    }

    private static int before(int month) {
        return month == 1 ? MONTHS : month - 1;
    }

    private static int after(int month) {
        return month == MONTHS ? 1 : month + 1;
    }

    private static String name(int month) {
        return Month.of(month).getDisplayName(TextStyle.FULL, Locale.UK);
    }

    private static List<Sheet.Row> part(Taxon.UsedPart p) {
        List<Sheet.Row> rows = new ArrayList<>();
        Taxon.Gathering g = p.gathering();
        add(rows, "When", g.moment());
        add(rows, "How", sentence(g.method()) + (g.tools().isBlank() ? "" : " With " + g.tools() + "."));
        add(
                rows,
                "How much",
                "at most " + Words.percent(g.sharePerPlant()) + " of each plant, of " + Words.percent(g.shareOfStand())
                        + " of the stand");
        if (g.leastAgeYears() != null) {
            add(rows, "How old", "at least " + g.leastAgeYears() + " years");
        }
        if (p.drying().dryAtC() != null) {
            add(
                    rows,
                    "Dried",
                    "at " + Words.figure(p.drying().dryAtC()) + " \u00b0C"
                            + (p.drying().aromatic() ? ", gently: its scent goes" : ""));
        }
        if (p.keeping().storageMonths() != null) {
            add(rows, "Keeps", "about " + p.keeping().storageMonths() + " months dried");
        }
        if (p.keeping().ageingMonths() != null) {
            add(rows, "Held back", p.keeping().ageingMonths() + " months before it is used");
        }
        if (p.using().tea() != null) {
            Taxon.TeaAdvice tea = p.using().tea();
            add(
                    rows,
                    "Tea",
                    Words.grams(tea.gramsPerCup()) + " to " + Words.millilitres(tea.cupMl()) + ", "
                            + tea.method().toLowerCase(Locale.ROOT).replace('_', ' ') + ", "
                            + Words.lasting(tea.minutes()));
        }
        p.using()
                .doses()
                .forEach(d -> add(
                        rows,
                        "A day",
                        Words.range(d.driedGPerDay(), "g") + " dried, "
                                + d.form().toLowerCase(Locale.ROOT).replace('_', ' ') + ", "
                                + d.use() + ", from " + d.fromAgeYears() + " years of age"
                                + (d.mostDays() == null ? "" : ", at most " + d.mostDays() + " days")
                                + " (" + d.source().title() + ", " + d.source().year() + ")"));
        return rows;
    }

    private static void add(List<Sheet.Row> rows, String label, String words) {
        if (!words.isBlank()) {
            rows.add(new Sheet.Row(label, words));
        }
    }

    private static String sentence(String words) {
        return words.isBlank() || words.endsWith(".") ? words : words + ".";
    }

    /** What is known to harm, the severest first; what nobody looked at is said as such. */
    private static List<String> cautions(Taxon t) {
        List<String> known = new ArrayList<>(t.cautions().stream()
                .filter(c -> c.status() == Taxon.CautionStatus.PRESENT)
                .sorted(Comparator.comparing(c -> c.severity() == null ? Severity.NOTE : c.severity()))
                .map(c -> subject(c) + ": " + c.effect())
                .toList());
        List<String> unknown = t.cautions().stream()
                .filter(c -> c.status() == Taxon.CautionStatus.UNKNOWN)
                .map(WallCard::subject)
                .distinct()
                .toList();
        if (!unknown.isEmpty()) {
            known.add("Not known, so ask a doctor or pharmacist: " + String.join(", ", unknown));
        }
        return known;
    }

    private static String subject(Taxon.Caution c) {
        String value = c.value().toLowerCase(Locale.ROOT).replace('_', ' ');
        return switch (c.subject()) {
            case PREGNANCY -> "Pregnancy";
            case BREAST_FEEDING -> "Breast-feeding";
            case UNDER_AGE -> "Under " + c.value() + " years";
            case CONDITION -> capital(value);
            case MEDICINE -> "With " + MedicineClass.valueOf(c.value()).words();
            case ALLERGY_FAMILY -> "Allergic to " + c.value();
            case OPERATION -> "Before an operation";
            case SUN -> "In the sun";
            case DRIVING -> "Driving";
        };
    }

    static String capital(String words) {
        return words.isEmpty() ? words : words.substring(0, 1).toUpperCase(Locale.ROOT) + words.substring(1);
    }
}
