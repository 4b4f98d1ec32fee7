package org.sallowbrook.server.tracing;

import java.util.Comparator;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.sallowbrook.core.making.Product;
import org.sallowbrook.core.measure.Words;
import org.sallowbrook.core.shelf.Stage;
import org.sallowbrook.server.documents.Sheet;
import org.sallowbrook.server.dosing.TakenOfLots;
import org.sallowbrook.server.household.HouseholdService;
import org.sallowbrook.server.household.PeopleService;
import org.sallowbrook.server.shelf.LotView;
import org.sallowbrook.server.shelf.ShelfService;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** What must come back when something turns out wrong: what it is, where it stands, who has it and who took of it. */
@Component
class RecallSheet {

    private static final String BLANK = "______________";

    private final TracingService tracing;
    private final ShelfService shelf;
    private final TakenOfLots takenOf;
    private final HouseholdService household;
    private final PeopleService people;

    RecallSheet(
            TracingService tracing,
            ShelfService shelf,
            TakenOfLots takenOf,
            HouseholdService household,
            PeopleService people) {
        this.tracing = tracing;
        this.shelf = shelf;
        this.takenOf = takenOf;
        this.household = household;
        this.people = people;
    }

    @Transactional(readOnly = true)
    Sheet of(UUID lotId) {
        TracingService.Reached reached = tracing.reached(lotId);
        LotView lot = reached.lot();
        List<LotView> there = reached.left().stream()
                .filter(l -> l.stage() != Stage.STAND)
                .sorted(Comparator.comparing(LotView::name).thenComparing(LotView::code))
                .toList();
        Sheet.Builder sheet = Sheet.a4("To call back: " + called(lot)).text(Words.day(people.today()), Sheet.Tone.SOFT);
        sheet.text(
                lot.state() == Product.State.USABLE && lot.doubt() == null
                        ? "Nothing of it is set aside yet: doubt it on its own page first."
                        : "Why: " + (lot.doubt() != null ? lot.doubt() : lot.stateReason()),
                Sheet.Tone.GRAVE);
        sheet.text("Nobody uses, gives or takes any of it until it is cleared.");
        List<LotView> out = there.stream().filter(l -> l.holder() != null).toList();
        rows(sheet, "With somebody", out, l -> "with " + l.holder(), "Nobody has any of it, as far as it was noted.");
        // What was lent and came back in peace is out again, or it is told with its day.
        Set<String> still = out.stream().map(LotView::code).collect(Collectors.toSet());
        List<ShelfService.CameBack> back = shelf.cameBack(reached.ids()).stream()
                .filter(b -> !still.contains(b.code()))
                .toList();
        if (!back.isEmpty()) {
            sheet.heading("Came back")
                    .rows(back.stream()
                            .map(b -> new Sheet.Row(
                                    b.name() + " " + b.code(),
                                    b.from() + ", " + Words.day(b.on()) + " (noted by " + b.notedBy() + ")"))
                            .toList());
        }
        rows(
                sheet,
                "Here",
                there.stream().filter(l -> l.holder() == null).toList(),
                l -> l.place().isBlank() ? "place not noted" : l.place(),
                "Nothing of it is left here.");
        int gone = reached.ids().size() - there.size() - (lot.stage() == Stage.STAND ? 1 : 0);
        if (gone > 0) {
            sheet.text(
                    gone == 1 ? "One more lot of it is used up." : gone + " more lots of it are used up.",
                    Sheet.Tone.SOFT);
        }
        List<TakenOfLots.OfPerson> took = takenOf.people(reached.ids());
        sheet.heading("Who took of it");
        if (took.isEmpty()) {
            sheet.text("Nobody, as far as was ticked off or noted. Ask all the same.");
        } else {
            sheet.rows(took.stream()
                    .map(p -> new Sheet.Row(Sheet.OPEN + p.person(), when(p)))
                    .toList());
        }
        List<TakenOfLots.OnCourse> courses = takenOf.courses(reached.ids());
        if (!courses.isEmpty()) {
            sheet.heading("Whose course it is or was")
                    .rows(courses.stream()
                            .map(c -> new Sheet.Row(
                                    Sheet.OPEN + c.person(),
                                    c.name() + " " + c.code() + ", " + Words.day(c.startOn()) + " to "
                                            + Words.day(c.lastDay())))
                            .toList());
        }
        HouseholdService.WhomToCall call = household.whomToCall();
        return sheet.heading("What to say")
                .points(List.of(
                        "Please stop using it, and keep it apart until it is fetched; do not give it on.",
                        "Has anybody taken of it or put it on? How much, when last, and how are they?",
                        "Is any left? Was any of it given on, and to whom?",
                        "Whoever feels ill in any way: do not wait. Take the jar or bottle along."))
                .text("Emergency: " + orBlank(call.emergencyNumber()), Sheet.Tone.LARGE)
                .text("Poison centre: " + orBlank(call.poisonCentre()), Sheet.Tone.LARGE)
                .done();
    }

    private static void rows(
            Sheet.Builder sheet, String title, List<LotView> lots, Function<LotView, String> where, String none) {
        sheet.heading(title);
        if (lots.isEmpty()) {
            sheet.text(none);
            return;
        }
        sheet.rows(lots.stream()
                .map(l -> new Sheet.Row(
                        Sheet.OPEN + called(l), Words.figure(l.remaining()) + " " + l.unit() + ", " + where.apply(l)))
                .toList());
    }

    private static String called(LotView lot) {
        return lot.stage() == Stage.STAND ? lot.name() : lot.name() + " " + lot.code();
    }

    private static String when(TakenOfLots.OfPerson p) {
        return p.times() == 1
                ? "once, on " + Words.day(p.lastOn())
                : p.times() + " times, " + Words.day(p.firstOn()) + " to " + Words.day(p.lastOn());
    }

    private static String orBlank(String number) {
        return number.isBlank() ? BLANK : number;
    }
}
