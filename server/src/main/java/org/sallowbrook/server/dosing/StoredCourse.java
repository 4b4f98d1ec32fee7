package org.sallowbrook.server.dosing;

import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.dosing.Dose;
import org.sallowbrook.core.dosing.DosingGate;
import org.sallowbrook.server.platform.Stored;
import tools.jackson.databind.node.ObjectNode;

/** How a course is taken, as it is kept beside whose it is, of what and from when. */
record StoredCourse(
        Double perDose,
        Integer timesPerDay,
        PatternRequest pattern,
        @Nullable Ramp ramp,
        @Nullable Taper taper,
        Integer courseDays,
        @Nullable Timing timing,
        DosingGate.@Nullable Skin skin,
        Dose.@Nullable Unit countedIn,
        @Nullable Double perCup,
        Boolean untilBetter) {

    static final Stored<StoredCourse> DOCUMENT =
            Stored.of("course", StoredCourse.class, StoredCourse::second, StoredCourse::third);

    record Ramp(Double startFraction, Integer days) {}

    record Taper(Double endFraction, Integer days) {}

    record Timing(
            CourseRequest.Relation relation,
            @Nullable Integer minutes,
            @Nullable Integer minutesTo,
            @Nullable Integer overMinutes) {}

    static StoredCourse of(CourseRequest r) {
        return new StoredCourse(
                r.perDose(),
                r.timesPerDay(),
                r.pattern(),
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
                r.perCup(),
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
                s.perDose,
                c.unit.symbol(),
                s.timesPerDay,
                s.pattern,
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
                s.perCup,
                s.untilBetter,
                c.followsId,
                null);
    }

    /** What each pattern of the second schema was read with. */
    private static final Map<String, Set<String>> MEMBERS = Map.of(
            "DAILY", Set.of("kind"),
            "CYCLE", Set.of("kind", "onDays", "offDays"),
            "DAYS_PER_MONTH", Set.of("kind", "daysPerMonth"),
            "WEEKLY", Set.of("kind"),
            "EVERY_HOURS", Set.of("kind", "everyHours"),
            "AS_NEEDED", Set.of("kind", "everyHours"),
            "SEASON", Set.of("kind", "from", "to"),
            "DRAWN", Set.of("kind", "onDays", "lot"));

    /**
     * The second called an amount in the product's own unit millilitres, whatever it was, and had room for the members of all
     * patterns in each.
     */
    private static void third(ObjectNode course) {
        Stored.renamed(course, "perDoseMl", "perDose");
        Stored.unsaid(course, "perCup");
        if (course.get("pattern") instanceof ObjectNode pattern) {
            String kind = pattern.path("kind").asString("");
            pattern.retain(MEMBERS.getOrDefault(kind, Set.of("kind")));
            if (kind.equals("EVERY_HOURS")) {
                Stored.unsaid(pattern, "toHours");
            }
        }
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
