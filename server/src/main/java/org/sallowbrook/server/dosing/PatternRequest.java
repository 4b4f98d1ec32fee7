package org.sallowbrook.server.dosing;

import com.fasterxml.jackson.annotation.JsonTypeInfo;
import com.fasterxml.jackson.annotation.JsonTypeName;
import java.time.DayOfWeek;
import java.time.MonthDay;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.dosing.pattern.AsNeeded;
import org.sallowbrook.core.dosing.pattern.Cycle;
import org.sallowbrook.core.dosing.pattern.Daily;
import org.sallowbrook.core.dosing.pattern.DaysPerMonth;
import org.sallowbrook.core.dosing.pattern.Drawn;
import org.sallowbrook.core.dosing.pattern.EveryHours;
import org.sallowbrook.core.dosing.pattern.Pattern;
import org.sallowbrook.core.dosing.pattern.Season;
import org.sallowbrook.core.dosing.pattern.Weekdays;
import org.sallowbrook.core.dosing.pattern.Weekly;
import org.sallowbrook.core.dosing.pattern.WeeklyInSeason;

/**
 * When doses are taken; {@code kind} tells which pattern, and each has its own members only. Written into the course as well:
 * what is renamed here needs an upgrade of {@link StoredCourse}.
 */
@JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "kind")
public sealed interface PatternRequest {

    Pattern toCore();

    @JsonTypeName("DAILY")
    record DailyPattern() implements PatternRequest {
        @Override
        public Pattern toCore() {
            return new Daily();
        }
    }

    @JsonTypeName("WEEKDAYS")
    record WeekdaysPattern(Set<DayOfWeek> on) implements PatternRequest {
        @Override
        public Pattern toCore() {
            return new Weekdays(on);
        }
    }

    @JsonTypeName("WEEKLY")
    record WeeklyPattern() implements PatternRequest {
        @Override
        public Pattern toCore() {
            return new Weekly();
        }
    }

    @JsonTypeName("WEEKLY_IN_SEASON")
    record WeeklyInSeasonPattern(MonthDay from, MonthDay to, DayOfWeek on) implements PatternRequest {
        @Override
        public Pattern toCore() {
            return new WeeklyInSeason(from, to, on);
        }
    }

    @JsonTypeName("CYCLE")
    record CyclePattern(Integer onDays, Integer offDays) implements PatternRequest {
        @Override
        public Pattern toCore() {
            return new Cycle(onDays, offDays);
        }
    }

    @JsonTypeName("DAYS_PER_MONTH")
    record DaysPerMonthPattern(Integer daysPerMonth) implements PatternRequest {
        @Override
        public Pattern toCore() {
            return new DaysPerMonth(daysPerMonth);
        }
    }

    @JsonTypeName("SEASON")
    record SeasonPattern(MonthDay from, MonthDay to) implements PatternRequest {
        @Override
        public Pattern toCore() {
            return new Season(from, to);
        }
    }

    @JsonTypeName("EVERY_HOURS")
    record EveryHoursPattern(Double everyHours, @Nullable Double toHours) implements PatternRequest {
        @Override
        public Pattern toCore() {
            return new EveryHours(everyHours, toHours);
        }
    }

    @JsonTypeName("AS_NEEDED")
    record AsNeededPattern(@Nullable Double everyHours) implements PatternRequest {
        @Override
        public Pattern toCore() {
            return new AsNeeded(everyHours);
        }
    }

    @JsonTypeName("DRAWN")
    record DrawnPattern(Integer onDays, Integer lot) implements PatternRequest {
        @Override
        public Pattern toCore() {
            return new Drawn(onDays, lot);
        }
    }
}
