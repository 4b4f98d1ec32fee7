package org.sallowbrook.server.dosing;

import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.dosing.Course;
import org.sallowbrook.core.dosing.Dose;
import org.sallowbrook.core.dosing.DosingGate;
import org.sallowbrook.core.measure.Amount;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Unit;
import org.sallowbrook.server.platform.Gatekeeper;

/**
 * What a course is asked for with.
 *
 * @param unit of the dose, g or mL: the product's own, and said so that none is taken for the other
 * @param countedIn what whoever takes it counts it out in; null for the product's unit
 * @param perCup grams of dried herb that a cup of tea is made with; null for what is not brewed as it is drunk
 * @param untilBetter whether it ends as soon as it is better; the days are then the most
 * @param followsId the phase before it, which is the same person's and over when this one begins
 */
public record CourseRequest(
        UUID id,
        UUID personId,
        UUID lotId,
        @Nullable String use,
        DosingGate.Way way,
        Double perDose,
        String unit,
        Integer timesPerDay,
        PatternRequest pattern,
        @Nullable RampRequest ramp,
        @Nullable TaperRequest taper,
        Integer courseDays,
        @Nullable TimingRequest timing,
        LocalDate startOn,
        DosingGate.@Nullable Skin skin,
        Dose.@Nullable Unit countedIn,
        @Nullable Double perCup,
        @Nullable Boolean untilBetter,
        @Nullable UUID followsId,
        @Nullable List<Gatekeeper.Acknowledgement> acknowledged) {

    Course.Plan plan() {
        return Course.plan(new Course.Request(
                startOn,
                Amount.of(perDose, Unit.of(unit)),
                timesPerDay,
                pattern.toCore(),
                RampRequest.toCore(ramp),
                TaperRequest.toCore(taper),
                courseDays));
    }

    void check() {
        if (timing != null) {
            timing.check();
        }
        Checks.begin()
                .that(
                        plan().total().value() > 0,
                        "courseDays",
                        "must hold a day on which a dose is taken: make it longer, or begin on such a day")
                .done();
    }

    public record RampRequest(Double startFraction, Integer days) {
        static Course.@Nullable Slope toCore(@Nullable RampRequest r) {
            return r == null ? null : new Course.Slope(r.startFraction(), r.days());
        }
    }

    public record TaperRequest(Double endFraction, Integer days) {
        static Course.@Nullable Slope toCore(@Nullable TaperRequest r) {
            return r == null ? null : new Course.Slope(r.endFraction(), r.days());
        }
    }

    public enum Relation {
        BEFORE_MEAL,
        WITH_MEAL,
        AFTER_MEAL,
        BEDTIME,
        ANY
    }

    /**
     * @param minutes before or after it; the nearer end where it is a range
     * @param minutesTo the farther end; null for none
     * @param overMinutes how slowly one dose is drunk
     */
    public record TimingRequest(
            Relation relation,
            @Nullable Integer minutes,
            @Nullable Integer minutesTo,
            @Nullable Integer overMinutes) {

        void check() {
            Checks.begin()
                    .that(minutes == null || minutes >= 0 && minutes <= 600, "timing.minutes", "must be from 0 to 600")
                    .that(
                            minutesTo == null || minutes != null && minutesTo >= minutes && minutesTo <= 600,
                            "timing.minutesTo",
                            "must not be less than the minutes before it, and at most 600")
                    .that(
                            overMinutes == null || overMinutes >= 1 && overMinutes <= 600,
                            "timing.overMinutes",
                            "must be from 1 to 600")
                    .done();
        }
    }
}
