package org.sallowbrook.server.dosing;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.dosing.DosingGate;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.household.Condition;
import org.sallowbrook.core.household.MedicineClass;
import org.sallowbrook.core.making.Product;
import org.sallowbrook.core.measure.Words;
import org.sallowbrook.server.documents.Sheet;
import org.sallowbrook.server.herbarium.HerbariumService;
import org.sallowbrook.server.household.PeopleService;
import org.sallowbrook.server.shelf.LotView;
import org.sallowbrook.server.shelf.Products;
import org.sallowbrook.server.shelf.ShelfService;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** What one person took, bore and was told, and nobody else: for a doctor or a pharmacist, or to take along. */
@Component
class PersonSheet {

    /** Of each list; what is older is said to be left out. */
    private static final int MOST = 200;

    private final PeopleService people;
    private final Courses courses;
    private final DosesTaken doses;
    private final DirectUses uses;
    private final ReactionService reactions;
    private final TrialService trials;
    private final AnswerService answers;
    private final HerbariumService herbarium;
    private final ShelfService shelf;
    private final Products products;

    PersonSheet(
            PeopleService people,
            Courses courses,
            DosesTaken doses,
            DirectUses uses,
            ReactionService reactions,
            TrialService trials,
            AnswerService answers,
            HerbariumService herbarium,
            ShelfService shelf,
            Products products) {
        this.people = people;
        this.courses = courses;
        this.doses = doses;
        this.uses = uses;
        this.reactions = reactions;
        this.trials = trials;
        this.answers = answers;
        this.herbarium = herbarium;
        this.shelf = shelf;
        this.products = products;
    }

    @Transactional(readOnly = true)
    Sheet of(UUID personId) {
        PeopleService.PersonView p = people.one(personId);
        Sheet.Builder sheet = Sheet.a4("Herbs taken by " + p.name())
                .text(
                        "On record in this household on " + Words.day(people.today())
                                + ". Home-made preparations of gathered plants; amounts as they were noted, contents not"
                                + " assayed.",
                        Sheet.Tone.SOFT)
                .text(HelpSheet.who(p) + ", born " + Words.day(p.bornOn()), Sheet.Tone.LARGE)
                .text("Medicines: "
                        + HelpSheet.orAsk(Stream.concat(
                                p.medicineNames().stream().map(m -> m.name()),
                                p.medicines().stream().map(MedicineClass::words))))
                .text("Conditions and allergies: "
                        + HelpSheet.orAsk(Stream.concat(
                                p.conditions().stream().map(Condition::words), p.allergyFamilies().stream())));
        LocalDate operation = p.operationOn();
        if (operation != null) {
            sheet.text("Operation: " + Words.day(operation));
        }
        courses(sheet, personId);
        used(sheet, personId);
        List<ReactionService.ReactionView> happened = reactions.of(personId);
        part(
                sheet,
                "What happened after",
                happened.size() >= ReactionService.SHOWN,
                happened.stream()
                        .map(r -> new Sheet.Row(
                                Words.day(r.on()),
                                r.said() + (r.words().isBlank() ? "" : ": " + r.words()) + " ("
                                        + r.plants().stream()
                                                .map(plant -> named(plant.taxonId()))
                                                .collect(Collectors.joining(", "))
                                        + ")"))
                        .toList());
        part(
                sheet,
                "Tried for the first time",
                false,
                trials.trials(personId).stream()
                        .map(t -> new Sheet.Row(
                                Words.day(t.on()),
                                named(t.taxonId()) + (t.way() == null ? "" : ", " + said(t.way())) + ": "
                                        + (t.well() ? "borne" : "not borne")
                                        + (t.reaction().isBlank() ? "" : ", " + t.reaction())))
                        .toList());
        part(
                sheet,
                "What a doctor or pharmacist answered",
                false,
                answers.of(personId).stream()
                        .map(a -> new Sheet.Row(
                                Words.day(a.on()),
                                a.who() + ": " + named(a.taxonId()) + (a.goes() ? " goes" : " does not go")
                                        + (a.words().isBlank() ? "" : ", " + a.words())))
                        .toList());
        return sheet.done();
    }

    private void courses(Sheet.Builder sheet, UUID personId) {
        List<CourseEntity> all = courses.findAllByPersonIdOrderByStartOnDescIdDesc(personId, Limit.of(MOST));
        List<UUID> ids = all.stream().map(c -> c.lotId).distinct().toList();
        Map<UUID, LotView> lots = shelf.lots(ids).stream().collect(Collectors.toMap(LotView::id, Function.identity()));
        Map<UUID, Product> contents = products.contents(ids);
        Map<UUID, List<DoseTaken>> taken = doses
                .findAllByCourseIdIn(all.stream().map(c -> c.id).toList())
                .stream()
                .collect(Collectors.groupingBy(d -> d.courseId));
        List<Sheet.Row> rows = new ArrayList<>();
        for (CourseEntity c : all) {
            LotView lot = lots.get(c.lotId);
            Product product = contents.get(c.lotId);
            rows.add(new Sheet.Row(
                    Words.day(c.startOn) + " to " + Words.day(c.lastDay),
                    (lot == null ? "" : lot.name() + " " + lot.code() + ", ") + said(c.way)
                            + (c.purpose == null ? "" : ", for " + c.purpose)
                            + (product == null ? "" : ": " + String.join("; ", HelpService.herbs(product))) + ". "
                            + taken(c, taken.getOrDefault(c.id, List.of()))));
        }
        part(sheet, "Courses", all.size() >= MOST, rows);
    }

    private static String taken(CourseEntity c, List<DoseTaken> doses) {
        if (doses.isEmpty()) {
            return "No dose was ticked off.";
        }
        double sum = doses.stream().mapToDouble(d -> d.amount).sum();
        return (doses.size() == 1 ? "One dose" : doses.size() + " doses") + " ticked off, " + Words.figure(sum) + " "
                + c.unit.symbol() + " in all.";
    }

    private void used(Sheet.Builder sheet, UUID personId) {
        List<DirectUse> all = uses.findAllByPersonIdOrderByOnDayDescIdDesc(personId, Limit.of(MOST));
        part(
                sheet,
                "Plants used as they were",
                all.size() >= MOST,
                all.stream()
                        .map(u -> new Sheet.Row(
                                Words.day(u.onDay),
                                named(u.taxonId) + ", " + Words.lower(u.part) + ", " + Words.lower(u.manner)
                                        + amount(u.grams, "g") + amount(u.ml, "mL")
                                        + (u.words.isBlank() ? "" : ", " + u.words)))
                        .toList());
    }

    private static void part(Sheet.Builder sheet, String title, boolean more, List<Sheet.Row> rows) {
        sheet.heading(title);
        if (rows.isEmpty()) {
            sheet.text("Nothing is on record.");
            return;
        }
        sheet.rows(rows);
        if (more) {
            sheet.text("These are the latest; what is older is left out.", Sheet.Tone.SOFT);
        }
    }

    private String named(String taxonId) {
        Taxon taxon = herbarium.taxon(taxonId);
        return taxon.commonName() + " (" + taxon.name() + ")";
    }

    private static String said(DosingGate.Way way) {
        return switch (way) {
            case MOUTH -> "by mouth";
            case SKIN -> "on the skin";
            case INCENSE -> "as incense";
            case SMOKED -> "smoked";
            case EYE -> "in the eye";
            case EAR -> "in the ear";
            case INJECTION -> "injected";
            case ENEMA -> "as an enema";
        };
    }

    private static String amount(@Nullable Double value, String unit) {
        return value == null ? "" : ", " + Words.figure(value) + " " + unit;
    }
}
