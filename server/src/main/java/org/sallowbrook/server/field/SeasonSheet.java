package org.sallowbrook.server.field;

import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.sallowbrook.core.field.season.Readiness;
import org.sallowbrook.core.measure.Words;
import org.sallowbrook.server.documents.Sheet;

/** What is ready at which stand, on paper. */
final class SeasonSheet {

    private static final Map<Readiness.State, String> HEADINGS = new LinkedHashMap<>();

    static {
        HEADINGS.put(Readiness.State.READY, "Ready now");
        HEADINGS.put(Readiness.State.LIKELY, "Likely begun: go and look");
        HEADINGS.put(Readiness.State.SOON, "Within a fortnight");
        HEADINGS.put(Readiness.State.LATER, "Later");
        HEADINGS.put(Readiness.State.OVER, "Over for this year");
    }

    private SeasonSheet() {}

    static Sheet of(SeasonService.SeasonView season) {
        Sheet.Builder sheet = Sheet.a4("The season, " + Words.day(season.today()));
        sheet.text("When it begins is likely, not certain; the plant itself says it.");
        HEADINGS.forEach((state, words) -> {
            List<Sheet.Row> rows = season.parts().stream()
                    .filter(p -> p.state() == state)
                    .map(p -> new Sheet.Row(
                            p.standName() + ", " + p.commonName() + ", " + Words.lower(p.part()), when(p)))
                    .toList();
            if (!rows.isEmpty()) {
                sheet.heading(words).rows(rows);
            }
        });
        return sheet.done();
    }

    private static String when(SeasonService.ReadyView p) {
        LocalDate from = p.from();
        return (from == null ? "" : (p.seen() ? "since " : "from about ") + Words.day(from) + ", ") + "until about "
                + Words.day(p.until()) + "; " + p.moment();
    }
}
