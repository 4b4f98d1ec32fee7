package org.sallowbrook.server.shelf;

import java.util.ArrayList;
import java.util.List;
import org.sallowbrook.core.herbarium.NotFor;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.measure.Words;
import org.sallowbrook.core.shelf.LotForm;
import org.sallowbrook.core.shelf.Trait;
import org.sallowbrook.server.documents.Sheet;
import org.sallowbrook.server.herbarium.HerbariumService;
import org.springframework.stereotype.Component;

/** What stands on a jar: what it is, from when, until when, how it may be used, and a QR code to its page. */
@Component
class Label {

    private final HerbariumService herbarium;

    Label(HerbariumService herbarium) {
        this.herbarium = herbarium;
    }

    Sheet of(LotView lot, String page) {
        Sheet.Builder sheet = Sheet.label("Label " + lot.code()).text(lot.name(), Sheet.Tone.LARGE);
        lot.herbs().forEach(h -> {
            sheet.text(herbarium.taxon(h.taxonId()).name(), Sheet.Tone.LATIN);
            String common = h.commonName() + ", " + Words.lower(h.part());
            if (!lot.name().contains(common)) {
                sheet.text(common);
            }
        });
        lines(lot).forEach(sheet::text);
        if (lot.route() == Taxon.Route.INTERNAL && !lot.herbs().isEmpty()) {
            List<String> not = NotFor.inShort(
                    lot.herbs().stream().map(h -> herbarium.taxon(h.taxonId())).toList());
            sheet.text(not.isEmpty() ? "" : "NOT " + String.join(", not ", not));
        }
        if (lot.holder() != null) {
            sheet.text("for " + lot.holder());
        }
        return sheet.code(page, lot.code()).done();
    }

    /** mL of it to a gram of dried herb, as it came out; empty for what is weighed. */
    private static String ratio(LotView lot) {
        double dried = lot.herbs().stream().mapToDouble(HerbView::driedG).sum();
        return lot.unit().equals("mL") && dried > 0 && lot.form() != LotForm.TEA
                ? ", 1 : " + Words.figure(lot.amount() / dried)
                : "";
    }

    private static List<String> lines(LotView lot) {
        List<String> lines = new ArrayList<>();
        lines.add(Words.figure(lot.amount()) + " " + lot.unit()
                + (!lot.form().alcoholic() || lot.strengthPercent() == null || lot.strengthPercent() == 0
                        ? ""
                        : ", up to " + Words.figure(lot.strengthPercent()) + " % vol")
                + ratio(lot));
        lines.add("made " + Words.day(lot.madeOn()));
        if (lot.bestBefore() != null) {
            lines.add("best before " + Words.day(lot.bestBefore()));
        }
        lines.add(lot.route() == Taxon.Route.EXTERNAL ? "OUTSIDE OF THE BODY ONLY" : "dose: see its page");
        if (lot.is(Trait.HONEY)) {
            lines.add("HONEY: not under one year");
        }
        if (lot.is(Trait.ESSENTIAL_OIL)) {
            lines.add(
                    lot.is(Trait.ESSENTIAL_OIL_FOR_ADULTS)
                            ? "ESSENTIAL OIL: for grown-ups only"
                            : lot.is(Trait.COOLING_OIL)
                                    ? "ESSENTIAL OIL: not under six years"
                                    : "ESSENTIAL OIL: not under two years");
        }
        switch (lot.state()) {
            case USABLE -> {}
            case HOLD -> lines.add("ON HOLD: do not use yet");
            case QUARANTINED -> lines.add("DOUBTED: do not use");
            case DESTROYED -> lines.add("THROWN AWAY: do not use");
        }
        return lines;
    }
}
