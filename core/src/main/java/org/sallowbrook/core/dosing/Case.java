package org.sallowbrook.core.dosing;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.herbarium.Taxon.Caution;
import org.sallowbrook.core.herbarium.Taxon.CautionStatus;
import org.sallowbrook.core.household.MedicineClass;
import org.sallowbrook.core.household.Person;
import org.sallowbrook.core.making.Product;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Severity;

/** One product for one person on one day, and what the gates have found so far. */
final class Case {

    private static final int BEFORE_OPERATION_DAYS = 14;

    final Product product;
    final Person person;
    final DosingGate.Intake intake;
    final LocalDate on;

    /** Whether it is eaten as food: a helping of a kitchen herb is no dose. */
    final boolean food;

    final List<Finding> findings = new ArrayList<>();

    /** Medicines a constituent already stopped, so that the card need not say it again. */
    final Set<MedicineClass> stoppedBy = EnumSet.noneOf(MedicineClass.class);

    Case(Product product, Person person, DosingGate.Intake intake, LocalDate on, boolean food) {
        this.food = food;
        this.product = product;
        this.person = person;
        this.intake = intake;
        this.on = on;
    }

    int allDays() {
        return intake.courseDays() + intake.daysBefore();
    }

    String withBefore() {
        return intake.daysBefore() == 0
                ? ""
                : ", with the " + intake.daysBefore() + " days before (a pause of under " + Exposure.PAUSE_DAYS
                        + " days counts as one course)";
    }

    boolean byMouth() {
        return intake.way() == DosingGate.Way.MOUTH;
    }

    boolean beforeOperation() {
        if (person.operationOn() == null) {
            return false;
        }
        long days = ChronoUnit.DAYS.between(on, person.operationOn());
        return days >= 0 && days <= BEFORE_OPERATION_DAYS;
    }

    void present(Taxon taxon, Caution caution, String about) {
        Severity severity = caution.severity();
        if (caution.status() == CautionStatus.PRESENT && severity != null) {
            findings.add(new Finding(
                    "CAUTION_" + caution.subject(),
                    severity,
                    taxon.commonName() + " with " + about + ": " + caution.effect(),
                    "Ask the prescriber or pharmacist. (" + caution.source().title() + ", "
                            + caution.source().year() + "; not checked by this household)"));
        }
    }

    void stop(String code, String message, String action) {
        findings.add(Finding.stop(code, message, action));
    }

    void hold(String code, String message, String action) {
        findings.add(Finding.hold(code, message, action));
    }
}
