package org.sallowbrook.server.calendar;

import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.net.URI;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import net.fortuna.ical4j.data.CalendarOutputter;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.component.VAlarm;
import net.fortuna.ical4j.model.component.VEvent;
import net.fortuna.ical4j.model.property.Categories;
import net.fortuna.ical4j.model.property.Description;
import net.fortuna.ical4j.model.property.DtEnd;
import net.fortuna.ical4j.model.property.DtStamp;
import net.fortuna.ical4j.model.property.DtStart;
import net.fortuna.ical4j.model.property.ProdId;
import net.fortuna.ical4j.model.property.Summary;
import net.fortuna.ical4j.model.property.Trigger;
import net.fortuna.ical4j.model.property.Uid;
import net.fortuna.ical4j.model.property.Url;
import net.fortuna.ical4j.model.property.XProperty;
import net.fortuna.ical4j.model.property.immutable.ImmutableAction;
import net.fortuna.ical4j.model.property.immutable.ImmutableCalScale;
import net.fortuna.ical4j.model.property.immutable.ImmutableTransp;
import net.fortuna.ical4j.model.property.immutable.ImmutableVersion;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.server.field.SeasonService;
import org.sallowbrook.server.platform.Due;
import org.sallowbrook.server.platform.DueSource;

/** What is due as an iCalendar document, RFC 5545: docs/formats/calendar.md says what stands in it. */
final class Ical {

    /** These come again and again of one thing: each day of them is an event of its own. */
    private static final Set<Due.Kind> AGAIN = EnumSet.of(
            Due.Kind.SHAKE, Due.Kind.DOSE, Due.Kind.WEIGH, Due.Kind.DIARY, Due.Kind.GATHER, Due.Kind.ASK_AFTER);

    private static final Duration A_WHILE = Duration.ofMinutes(15);
    private static final int MORNING = 8;
    private static final int EVENING = 18;

    private final Chosen chosen;
    private final DueSource.Span span;
    private final @Nullable String home;
    private final Calendar calendar = new Calendar();

    /** @param home address at which the household reaches its Sallowbrook; null where it is not known */
    Ical(String name, Chosen chosen, DueSource.Span span, @Nullable String home) {
        this.chosen = chosen;
        this.span = span;
        this.home = home;
        calendar.add(new ProdId("-//Sallowbrook//Sallowbrook//EN"));
        calendar.add(ImmutableVersion.VERSION_2_0);
        calendar.add(ImmutableCalScale.GREGORIAN);
        calendar.add(new XProperty("X-WR-CALNAME", chosen.inFull() ? name : "Sallowbrook"));
        calendar.add(new XProperty("X-WR-TIMEZONE", span.zone().getId()));
        calendar.add(new XProperty("X-PUBLISHED-TTL", "PT1H"));
    }

    Ical due(List<Due> all) {
        all.stream().filter(chosen::wants).forEach(this::one);
        return this;
    }

    /** Whole days from the first on which a part is likely ready to the last. */
    Ical ready(List<SeasonService.ReadyView> parts) {
        for (SeasonService.ReadyView p : chosen.wants(Chosen.Of.READY) ? parts : List.<SeasonService.ReadyView>of()) {
            LocalDate from = p.from();
            if (from != null && !p.until().isBefore(span.today())) {
                VEvent event = event(
                        "ready-" + p.standId() + "-" + p.part() + "-" + from.getYear(),
                        chosen.inFull() ? "Ready: " + p.commonName() + ", " + p.standName() : "Something is ripe");
                event.add(new DtStart<>(from));
                event.add(new DtEnd<>(p.until().plusDays(1)));
                event.add(new Categories("READY"));
                if (chosen.inFull()) {
                    event.add(new Description(p.moment()));
                }
                calendar.add(event);
            }
        }
        return this;
    }

    private void one(Due due) {
        // What is late is on today: nobody looks for it where it was.
        LocalDate day = due.due().isBefore(span.today()) ? span.today() : due.due();
        boolean late = due.due().isBefore(span.today());
        // Told some time before it, as what is to be used up, or in the morning, it has no hour of its own.
        boolean allDay = late
                || due.at().equals(span.morning(day))
                || !LocalDate.ofInstant(due.at(), span.zone()).equals(day);
        String words = chosen.inFull() ? due.title() : plain(due.kind());
        VEvent event = event(id(due), late ? words + " (late)" : words);
        if (allDay) {
            event.add(new DtStart<>(day));
            event.add(new DtEnd<>(day.plusDays(1)));
        } else {
            event.add(new DtStart<>(due.at()));
            event.add(new DtEnd<>(due.at().plus(A_WHILE)));
        }
        event.add(new Categories(due.kind().name()));
        if (chosen.inFull()) {
            event.add(new Description(due.detail()));
        }
        alarm(event, words, allDay ? hour(day, MORNING) : due.at(), day);
        calendar.add(event);
    }

    private VEvent event(String id, String words) {
        VEvent event = new VEvent();
        // A whole day stands for when it was reckoned, so that what did not change reads the same.
        event.replace(new DtStamp(span.today().atStartOfDay(ZoneId.of("UTC")).toInstant()));
        event.add(new Uid(id + "@sallowbrook"));
        event.add(new Summary(words));
        event.add(ImmutableTransp.TRANSPARENT);
        if (home != null) {
            event.add(new Url(URI.create(home)));
        }
        return event;
    }

    private void alarm(VEvent event, String words, Instant then, LocalDate day) {
        if (chosen.alarm() == Chosen.Alarm.NONE) {
            return;
        }
        Instant at = chosen.alarm() == Chosen.Alarm.THEN ? then : hour(day.minusDays(1), EVENING);
        VAlarm alarm = new VAlarm();
        alarm.add(ImmutableAction.DISPLAY);
        alarm.add(new Trigger(at));
        alarm.add(new Description(words));
        event.add(alarm);
    }

    private Instant hour(LocalDate day, int hour) {
        return day.atTime(hour, 0).atZone(span.zone()).toInstant();
    }

    /** The same thing has the same id whenever it is asked for, so that what is put off moves and does not double. */
    private static String id(Due due) {
        String id = due.kind().name().toLowerCase(java.util.Locale.ROOT) + "-" + due.subjectId()
                + (due.slot() == null ? "" : "-" + due.slot());
        return AGAIN.contains(due.kind()) ? id + "-" + due.due() : id;
    }

    /** Without plants, people and places. */
    private static String plain(Due.Kind kind) {
        return switch (kind) {
            case STOP_TAKING -> "Something must stop: look at once";
            case CALL_BACK -> "Something must come back: look at once";
            case LOOK_AGAIN -> "Look again at a plant";
            case RETURN -> "Go back to a stand";
            case COME_BACK -> "Come back, as written down";
            case GATHER -> "Gather";
            case WEIGH_HARVEST -> "Weigh a basket";
            case RACK -> "Lay out to dry";
            case WEIGH -> "Weigh on the rack";
            case SHAKE -> "Shake";
            case PRESS -> "Press";
            case FILL -> "Fill";
            case DOSE -> "A dose";
            case BETTER_YET, ASK_AFTER, FOLLOW_UP -> "Ask after somebody";
            case DIARY -> "How it is today";
            case USE_UP -> "Use up";
            case DESICCANT -> "Look at the drying bags";
            case SET_ASIDE -> "Something set aside";
        };
    }

    @Override
    public String toString() {
        StringWriter out = new StringWriter();
        try {
            new CalendarOutputter(false).output(calendar, out);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toString();
    }
}
