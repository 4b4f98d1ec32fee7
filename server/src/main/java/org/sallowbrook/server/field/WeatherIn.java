package org.sallowbrook.server.field;

import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.sallowbrook.core.field.season.DayWeather;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Words;
import org.sallowbrook.server.household.PeopleService;
import org.sallowbrook.server.platform.ListIn;
import org.sallowbrook.server.platform.Owned;
import org.sallowbrook.server.platform.Problem;
import org.springframework.stereotype.Component;

/** Days of weather from the household's own station, whatever its columns are called. */
@Component
class WeatherIn implements ListIn {

    private final WeatherDays days;
    private final PeopleService people;

    WeatherIn(WeatherDays days, PeopleService people) {
        this.days = days;
        this.people = people;
    }

    @Override
    public String name() {
        return "weather";
    }

    @Override
    public String words() {
        return "Weather";
    }

    @Override
    public String hint() {
        return "A day that is here already stays as it is.";
    }

    @Override
    public List<Column> columns() {
        return List.of(
                Column.of("day", "Day", Kind.DAY, "date").must(),
                Column.number("lowC", "Lowest", "°C", "low", "min", "low_c", "minimum")
                        .must(),
                Column.number("highC", "Highest", "°C", "high", "max", "high_c", "maximum")
                        .must(),
                Column.number("rainMm", "Rain", "mm", "rain_mm", "precipitation")
                        .must(),
                Column.number("humidity", "Humidity", "%", "humidity_percent").must());
    }

    @Override
    public String same(Line line) {
        return line.alike("day");
    }

    @Override
    public boolean here(Line line) {
        LocalDate day = day(line);
        return !days.findAllByOnDayBetweenOrderByOnDay(day, day).isEmpty();
    }

    private static LocalDate day(Line line) {
        LocalDate day = line.day("day");
        return day == null ? LocalDate.EPOCH : day;
    }

    @Override
    public Brought take(Line line) {
        LocalDate day = day(line);
        Checks.begin()
                .that(!day.isAfter(people.today()), "day", "must not be in the future")
                .done();
        WeatherDay read = new WeatherDay(
                Owned.newId(),
                new DayWeather(
                        day,
                        number(line, "lowC"),
                        number(line, "highC"),
                        number(line, "rainMm"),
                        number(line, "humidity") / 100));
        days.saveAndFlush(read);
        return new Brought(read.id.toString(), Words.day(day));
    }

    private static double number(Line line, String key) {
        Double number = line.number(key);
        return number == null ? Double.NaN : number;
    }

    @Override
    public void takeBack(String handle) {
        days.delete(days.findById(UUID.fromString(handle)).orElseThrow(() -> new Problem.NotFound("day")));
        days.flush();
    }
}
