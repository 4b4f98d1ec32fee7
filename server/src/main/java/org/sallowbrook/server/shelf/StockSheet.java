package org.sallowbrook.server.shelf;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.sallowbrook.core.measure.Words;
import org.sallowbrook.core.shelf.LotForm;
import org.sallowbrook.core.shelf.Stage;
import org.sallowbrook.server.documents.Sheet;
import org.springframework.util.StringUtils;

/** What stands on the shelf, on paper: to look at, or to count by with the amounts left out; no basket and no batch. */
final class StockSheet {

    private static final String BLANK = "________";

    private StockSheet() {}

    /** @param counting whether what is written down stays off the paper, so that nobody copies it */
    static Sheet of(List<LotView> there, LocalDate today, boolean counting) {
        Sheet.Builder sheet = Sheet.a4(counting ? "To count" : "On the shelf");
        sheet.text(Words.day(today), Sheet.Tone.SOFT);
        Map<LotForm, List<LotView>> forms = new TreeMap<>();
        there.stream()
                .filter(l -> l.stage() == Stage.STOCK || l.stage() == Stage.FILLED)
                .filter(l -> !counting || l.holder() == null)
                .forEach(l ->
                        forms.computeIfAbsent(l.form(), k -> new ArrayList<>()).add(l));
        forms.forEach((form, lots) -> {
            lots.sort(Comparator.comparing(LotView::name).thenComparing(LotView::code));
            sheet.heading(StringUtils.capitalize(Words.lower(form)))
                    .rows(lots.stream()
                            .map(l -> new Sheet.Row(
                                    l.code() + " " + l.name() + (l.place().isBlank() ? "" : ", " + l.place()),
                                    counting ? BLANK + " " + l.unit() : said(l)))
                            .toList());
        });
        return sheet.done();
    }

    private static String said(LotView lot) {
        return Words.figure(lot.remaining()) + " " + lot.unit()
                + (lot.bestBefore() == null ? "" : ", best before " + Words.day(lot.bestBefore()))
                + (lot.expired() ? ", PAST ITS DATE" : "")
                + switch (lot.state()) {
                    case USABLE, DESTROYED -> "";
                    case HOLD -> ", ON HOLD";
                    case QUARANTINED -> ", DOUBTED";
                }
                + (lot.holder() == null ? "" : ", with " + lot.holder());
    }
}
