package org.sallowbrook.server.field;

import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.field.season.DayWeather;
import org.sallowbrook.core.field.season.Place;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.InvalidInput;
import org.sallowbrook.server.household.PeopleService;
import org.sallowbrook.server.platform.Owned;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.MappingIterator;
import tools.jackson.dataformat.csv.CsvMapper;
import tools.jackson.dataformat.csv.CsvReadFeature;
import tools.jackson.dataformat.csv.CsvSchema;

/** The weather where the household lives: its own readings, or the simulated station's where stand-ins are offered. */
@Service
@Transactional
public class WeatherService {

    public enum Source {
        OWN,
        SIMULATED,
        NONE
    }

    /** @param dryEnough whether what is picked on it is dry; null where the day before is not known */
    public record WeatherOfDay(
            LocalDate day,
            Double lowC,
            Double highC,
            Double rainMm,
            Double humidity,
            Boolean frost,
            @Nullable Boolean dryEnough) {}

    public record WeatherView(Source source, List<WeatherOfDay> days) {}

    /** @param read lines that were read; a day that was there already has the newer figures */
    public record ReadView(Integer read) {}

    private static final int YEARS_BACK = 12;
    private static final int MOST_LINES = 366 * 40;

    /** Where no place is given the station stands where the demo does. */
    private static final Place SOMEWHERE = new Place(55, 30);

    private final WeatherDays own;
    private final Station station;
    private final PeopleService people;
    private final CsvMapper csv = CsvMapper.builder()
            .enable(CsvReadFeature.TRIM_SPACES)
            .enable(CsvReadFeature.SKIP_EMPTY_LINES)
            .build();

    WeatherService(WeatherDays own, Station station, PeopleService people) {
        this.own = own;
        this.station = station;
        this.people = people;
    }

    @Transactional(readOnly = true)
    public Source source() {
        if (own.existsByOnDayGreaterThanEqual(people.today().minusYears(YEARS_BACK))) {
            return Source.OWN;
        }
        return people.standIns() ? Source.SIMULATED : Source.NONE;
    }

    /** Of the last twelve years at most, oldest first; empty where there is no source. */
    @Transactional(readOnly = true)
    public List<DayWeather> readings(LocalDate from, LocalDate to) {
        LocalDate today = people.today();
        LocalDate last = to.isAfter(today) ? today : to;
        LocalDate first = from.isBefore(today.minusYears(YEARS_BACK)) ? today.minusYears(YEARS_BACK) : from;
        return switch (source()) {
            case OWN ->
                own.findAllByOnDayBetweenOrderByOnDay(first, last).stream()
                        .map(WeatherDay::toCore)
                        .toList();
            case SIMULATED -> station.readings(place(), first, last);
            case NONE -> List.of();
        };
    }

    /** All that a forecast may look at. */
    @Transactional(readOnly = true)
    public List<DayWeather> past() {
        LocalDate today = people.today();
        return readings(today.minusYears(YEARS_BACK).withDayOfYear(1), today);
    }

    /** The days up to today. */
    @Transactional(readOnly = true)
    public WeatherView lately(int days) {
        Checks.begin().range("days", days, 1, 400).done();
        LocalDate today = people.today();
        List<DayWeather> all = readings(today.minusDays(days), today);
        List<WeatherOfDay> views = new ArrayList<>();
        for (int i = 1; i < all.size(); i++) {
            views.add(view(all.get(i), all.get(i - 1)));
        }
        return new WeatherView(source(), views);
    }

    private static WeatherOfDay view(DayWeather w, DayWeather before) {
        boolean known = before.day().plusDays(1).equals(w.day());
        return new WeatherOfDay(
                w.day(),
                w.lowC(),
                w.highC(),
                w.rainMm(),
                w.humidity(),
                w.frost(),
                known ? DayWeather.dryEnough(w, before) : null);
    }

    private Place place() {
        Place place = people.place();
        return place == null ? SOMEWHERE : place;
    }

    /**
     * A table of the household's own: the columns day (2026-07-15), low_c, high_c, rain_mm, humidity_percent, in any order. All
     * of it is read, or nothing.
     *
     * @throws InvalidInput naming the line
     */
    public ReadView read(String text) {
        List<DayWeather> days = new ArrayList<>();
        try (MappingIterator<Map<String, String>> lines = csv.readerFor(Map.class)
                .with(CsvSchema.emptySchema().withHeader())
                .readValues(text)) {
            while (lines.hasNext()) {
                days.add(line(lines.next(), days.size() + 2));
                Checks.begin()
                        .that(days.size() <= MOST_LINES, "file", "must have at most " + MOST_LINES + " lines")
                        .done();
            }
        } catch (tools.jackson.core.JacksonException e) {
            throw wrong("it is no table with a line of names and commas between");
        }
        Checks.begin()
                .that(!days.isEmpty(), "file", "must have a line of names and one for a day at least")
                .done();
        LocalDate today = people.today();
        LocalDate from =
                days.stream().map(DayWeather::day).min(LocalDate::compareTo).orElseThrow();
        Map<LocalDate, WeatherDay> known = new HashMap<>();
        own.findAllByOnDayBetweenOrderByOnDay(from, today).forEach(d -> known.put(d.onDay, d));
        for (DayWeather w : days) {
            Checks.begin()
                    .that(!w.day().isAfter(today), "file", w.day() + " is in the future")
                    .done();
            WeatherDay there = known.get(w.day());
            if (there == null) {
                known.put(w.day(), own.save(new WeatherDay(Owned.newId(), w)));
            } else {
                there.set(w);
            }
        }
        own.flush();
        return new ReadView(days.size());
    }

    private static DayWeather line(Map<String, String> line, int number) {
        try {
            return new DayWeather(
                    LocalDate.parse(cell(line, "day", number)),
                    number(line, "low_c", number),
                    number(line, "high_c", number),
                    number(line, "rain_mm", number),
                    number(line, "humidity_percent", number) / 100);
        } catch (DateTimeParseException e) {
            throw wrong("line " + number + ": the day must be written like 2026-07-15");
        } catch (InvalidInput e) {
            throw e.violations().stream().anyMatch(v -> v.field().equals("file"))
                    ? e
                    : wrong("line " + number + ": " + e.violations().get(0).field() + " "
                            + e.violations().get(0).message());
        }
    }

    private static double number(Map<String, String> line, String column, int number) {
        String cell = cell(line, column, number);
        try {
            return Double.parseDouble(cell.replace(',', '.'));
        } catch (NumberFormatException e) {
            throw wrong("line " + number + ": " + column + " must be a number");
        }
    }

    private static String cell(Map<String, String> line, String column, int number) {
        String cell = line.get(column);
        if (cell == null || cell.isBlank()) {
            throw wrong("line " + number + ": there is no " + column);
        }
        return cell;
    }

    private static InvalidInput wrong(String why) {
        return new InvalidInput(List.of(new InvalidInput.Violation("file", why)));
    }
}
