package org.sallowbrook.server.dosing;

import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.dosing.DangerSigns;
import org.sallowbrook.core.dosing.DosingGate;
import org.sallowbrook.core.dosing.FirstSteps;
import org.sallowbrook.core.household.Condition;
import org.sallowbrook.core.household.MedicineClass;
import org.sallowbrook.core.measure.Words;
import org.sallowbrook.server.documents.Sheet;
import org.sallowbrook.server.household.HouseholdService;
import org.sallowbrook.server.household.PeopleService;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** What to do when something is wrong, for the wall or to take along; with what somebody took, where it is of somebody. */
@Component
class HelpSheet {

    private static final String BLANK = "______________";

    private final HelpService help;
    private final HouseholdService household;

    HelpSheet(HelpService help, HouseholdService household) {
        this.help = help;
        this.household = household;
    }

    @Transactional(readOnly = true)
    Sheet of(@Nullable UUID person) {
        HouseholdService.WhomToCall call = household.whomToCall();
        Sheet.Builder sheet = Sheet.a4("Something is wrong");
        int number = 1;
        for (FirstSteps.Step step : FirstSteps.ALL) {
            sheet.heading(number++ + ". " + step.title())
                    .text(step.first(), Sheet.Tone.GRAVE)
                    .text(step.words())
                    .points(step.points());
            if (step == FirstSteps.CALL) {
                sheet.text("Emergency: " + orBlank(call.emergencyNumber()), Sheet.Tone.LARGE)
                        .text("Poison centre: " + orBlank(call.poisonCentre()), Sheet.Tone.LARGE)
                        .text("Emergency service now, with any of these:", Sheet.Tone.GRAVE)
                        .text(String.join(", ", DangerSigns.NOW) + ".")
                        .text("A doctor today, with any of these:", Sheet.Tone.GRAVE)
                        .text(String.join(", ", DangerSigns.TODAY) + ".");
            }
            if (step == FirstSteps.SAY && person != null) {
                say(sheet, help.help(person));
            }
        }
        return sheet.text(FirstSteps.NO_SUBSTITUTE, Sheet.Tone.SOFT).done();
    }

    private static String orBlank(String number) {
        return number.isBlank() ? BLANK : number;
    }

    private static void say(Sheet.Builder sheet, HelpService.HelpView of) {
        PeopleService.PersonView p = of.person();
        sheet.text(who(p), Sheet.Tone.GRAVE)
                .text("Medicines: "
                        + orAsk(Stream.concat(
                                p.medicineNames().stream().map(m -> m.name()),
                                p.medicines().stream().map(MedicineClass::words))))
                .text("Conditions and allergies: "
                        + orAsk(Stream.concat(
                                p.conditions().stream().map(Condition::words), p.allergyFamilies().stream())))
                .points(of.reactions());
        if (of.taken().isEmpty()) {
            sheet.text("Taken in the last seven days: nothing is on record"
                    + (of.running().isEmpty() ? "" : ", but something may have been taken and not ticked")
                    + ". Say what was eaten or drunk, when, and how much; describe the plant.");
            return;
        }
        List<Sheet.Row> rows = new ArrayList<>();
        of.taken()
                .forEach(t -> rows.add(new Sheet.Row(
                        Words.day(t.on()),
                        (t.amount() == null ? "an amount nobody weighed" : Words.figure(t.amount()) + " " + t.unit())
                                + " of " + t.product() + (t.lotCode().isEmpty() ? "" : ", lot " + t.lotCode())
                                + (t.way() == DosingGate.Way.SKIN ? ", on the skin" : ", by mouth")
                                + (t.herbs().isEmpty() ? "" : ": " + String.join("; ", t.herbs())))));
        sheet.text("Taken in the last seven days", Sheet.Tone.GRAVE).rows(rows);
    }

    static String who(PeopleService.PersonView p) {
        return p.name() + ", " + Words.figure(p.ageYears()) + " years"
                + (p.weightKg() == null ? "" : ", " + Words.figure(p.weightKg()) + " kg")
                + (p.trimester() == null ? "" : ", expecting, trimester " + p.trimester())
                + (p.breastFeeding() ? ", breast-feeding" : "");
    }

    static String orAsk(Stream<String> words) {
        String said = words.collect(Collectors.joining(", "));
        return said.isEmpty() ? "none on record; ask." : said + ".";
    }
}
