package org.sallowbrook.server.planning;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.sallowbrook.core.measure.Words;
import org.sallowbrook.server.documents.Sheet;

/** The planned year on paper, a week after the other, to be ticked off outside; what was ticked is recorded at home. */
final class YearSheet {

    private static final int WEEK = 6;

    private YearSheet() {}

    static Sheet of(YearController.PlannedYearView year, List<WishService.WishView> wishes) {
        Map<UUID, String> words =
                wishes.stream().collect(Collectors.toMap(WishService.WishView::id, WishService.WishView::words));
        Sheet.Builder sheet = Sheet.a4("Enough for winter, as planned on " + Words.day(year.today()));
        sheet.text("Pick only what you are certain of, at a stand"
                + " that bears it; what you pick is recorded at its stand.");
        List<Sheet.Row> wanted = new ArrayList<>();
        for (WishService.WishView w : wishes) {
            year.wishes().stream()
                    .filter(g -> g.wish().equals(w.id()))
                    .forEach(g -> wanted.add(new Sheet.Row(
                            w.words(),
                            Words.figure(w.amount()) + " " + w.unit() + ", "
                                    + (g.met() > YearController.ALL
                                            ? "all of it"
                                            : Math.round(g.met() * 100) + " %"))));
        }
        sheet.rows(wanted);
        for (YearController.WeekView week : year.weeks()) {
            sheet.heading(Words.day(week.on()) + " to " + Words.day(week.on().plusDays(WEEK)))
                    .text("Walks: " + String.join("; ", week.walks()) + "; about "
                            + Words.figure(Math.max(1, Math.round(week.hours()))) + " h in all")
                    .points(week.picks().stream()
                            .map(p -> Sheet.OPEN + p.stand() + ": " + Words.grams(p.freshG()) + " of " + p.commonName()
                                    + ", "
                                    + Words.lower(p.part()) + ", fresh"
                                    + (p.wishes().isEmpty() ? "" : "; for " + named(p.wishes(), words)))
                            .toList());
            if (!week.begun().isEmpty()) {
                sheet.text(Sheet.OPEN + "At the bench, once it is dry: " + named(week.begun(), words));
            }
        }
        List<String> bought = year.materials().stream()
                .filter(m -> m.takes() > m.there())
                .map(m -> Sheet.OPEN + material(m))
                .toList();
        if (!bought.isEmpty()) {
            sheet.heading("Too little is there").points(bought);
        }
        return sheet.done();
    }

    private static String named(List<UUID> ids, Map<UUID, String> words) {
        return ids.stream().map(id -> words.getOrDefault(id, "")).collect(Collectors.joining("; "));
    }

    private static String material(YearController.MaterialView m) {
        double missing = m.takes() - m.there();
        return switch (m.material()) {
            case ALCOHOL -> Words.millilitres(missing) + " of alcohol, in spirit of any strength";
            case OIL -> Words.millilitres(missing) + " of oil";
            case WAX -> Words.grams(missing) + " of wax";
            case BOTTLES -> "bottles for " + Words.millilitres(missing);
        };
    }
}
