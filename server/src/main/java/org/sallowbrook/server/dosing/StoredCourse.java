package org.sallowbrook.server.dosing;

import java.time.MonthDay;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.dosing.Course;
import org.sallowbrook.core.dosing.Dose;
import org.sallowbrook.core.dosing.DosingGate;
import org.sallowbrook.server.platform.Stored;
import tools.jackson.databind.node.ObjectNode;

/** How a course is taken, as it is kept beside whose it is, of what and from when. */
record StoredCourse(
        Double perDoseMl,
        Integer timesPerDay,
        Pattern pattern,
        @Nullable Ramp ramp,
        @Nullable Taper taper,
        Integer courseDays,
        @Nullable Timing timing,
        DosingGate.@Nullable Skin skin,
        Dose.@Nullable Unit countedIn,
        Boolean untilBetter) {

    static final Stored<StoredCourse> DOCUMENT = Stored.of("course", StoredCourse.class, StoredCourse::second);

    record Pattern(
            Course.Kind kind,
            @Nullable Integer onDays,
            @Nullable Integer offDays,
            @Nullable Integer daysPerMonth,
            @Nullable Double everyHours,
            @Nullable MonthDay from,
            @Nullable MonthDay to,
            @Nullable Integer lot) {}

    record Ramp(Double startFraction, Integer days) {}

    record Taper(Double endFraction, Integer days) {}

    record Timing(
            CourseRequest.Relation relation,
            @Nullable Integer minutes,
            @Nullable Integer minutesTo,
            @Nullable Integer overMinutes) {}

    static StoredCourse of(CourseRequest r) {
        return new StoredCourse(
                r.perDoseMl(),
                r.timesPerDay(),
                new Pattern(
                        r.pattern().kind(),
                        r.pattern().onDays(),
                        r.pattern().offDays(),
                        r.pattern().daysPerMonth(),
                        r.pattern().everyHours(),
                        r.pattern().from(),
                        r.pattern().to(),
                        r.pattern().lot()),
                r.ramp() == null
                        ? null
                        : new Ramp(r.ramp().startFraction(), r.ramp().days()),
                r.taper() == null
                        ? null
                        : new Taper(r.taper().endFraction(), r.taper().days()),
                r.courseDays(),
                r.timing() == null
                        ? null
                        : new Timing(
                                r.timing().relation(),
                                r.timing().minutes(),
                                r.timing().minutesTo(),
                                r.timing().overMinutes()),
                r.skin(),
                r.countedIn(),
                Boolean.TRUE.equals(r.untilBetter()));
    }

    /** What a course would be asked for with. @throws Stored.Unreadable where it can't be read */
    static CourseRequest request(CourseEntity c) {
        StoredCourse s = DOCUMENT.read(c.plan);
        return new CourseRequest(
                c.id,
                c.personId,
                c.lotId,
                c.purpose,
                c.way,
                s.perDoseMl,
                s.timesPerDay,
                new CourseRequest.PatternRequest(
                        s.pattern.kind,
                        s.pattern.onDays,
                        s.pattern.offDays,
                        s.pattern.daysPerMonth,
                        s.pattern.everyHours,
                        s.pattern.from,
                        s.pattern.to,
                        s.pattern.lot),
                s.ramp == null ? null : new CourseRequest.RampRequest(s.ramp.startFraction, s.ramp.days),
                s.taper == null ? null : new CourseRequest.TaperRequest(s.taper.endFraction, s.taper.days),
                s.courseDays,
                s.timing == null
                        ? null
                        : new CourseRequest.TimingRequest(
                                s.timing.relation, s.timing.minutes, s.timing.minutesTo, s.timing.overMinutes),
                c.startOn,
                s.skin,
                s.countedIn,
                s.untilBetter,
                c.followsId,
                null);
    }

    /** The first schema was the request itself, with what stands in columns as well. */
    private static void second(ObjectNode course) {
        course.remove(List.of("id", "personId", "lotId", "use", "way", "startOn", "followsId", "acknowledged"));
        Stored.unsaid(course, "ramp", "taper", "timing", "skin", "countedIn");
        if (!course.path("untilBetter").isBoolean()) {
            course.put("untilBetter", false);
        }
        if (course.get("pattern") instanceof ObjectNode pattern) {
            Stored.unsaid(pattern, "onDays", "offDays", "daysPerMonth", "everyHours", "from", "to", "lot");
        }
        if (course.get("timing") instanceof ObjectNode timing) {
            Stored.unsaid(timing, "minutes", "minutesTo", "overMinutes");
        }
    }
}
