package org.sallowbrook.server.devices;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.ConcurrentHashMap;
import org.sallowbrook.core.field.season.DayWeather;
import org.sallowbrook.core.field.season.Place;
import org.sallowbrook.server.field.Station;
import org.springframework.stereotype.Component;

/**
 * A stand-in for a weather station on a mild, windy island: the same day at the same place is always the same weather. A
 * yearly wave, warm and cold spells that fade over days, wet days that follow wet days. Its figures are made up; the seed is one by which the demo opens on a dry morning and the first frosts come about 5 November.
 */
@Component
class SimulatedStation implements Station {

    private static final long SEED = 23;
    private static final double COLDEST_DAY = 32;

    private record Year(double latitude, double elevationM, int year) {}

    private final Map<Year, List<DayWeather>> years = new ConcurrentHashMap<>();

    @Override
    public List<DayWeather> readings(Place place, LocalDate from, LocalDate to) {
        List<DayWeather> days = new ArrayList<>();
        for (int year = from.getYear(); year <= to.getYear(); year++) {
            if (years.size() > 400) {
                years.clear();
            }
            for (DayWeather w :
                    years.computeIfAbsent(new Year(place.latitude(), place.elevationM(), year), SimulatedStation::of)) {
                if (!w.day().isBefore(from) && !w.day().isAfter(to)) {
                    days.add(w);
                }
            }
        }
        return days;
    }

    private static List<DayWeather> of(Year y) {
        Random random = new Random(SEED * 31 + y.year());
        double mean = 8.7 + (55 - Math.abs(y.latitude())) * 0.6 - y.elevationM() * 0.0065 + random.nextGaussian() * 0.5;
        double spell = random.nextGaussian() * 3;
        boolean wet = random.nextBoolean();
        List<DayWeather> days = new ArrayList<>();
        for (LocalDate d = LocalDate.of(y.year(), 1, 1); d.getYear() == y.year(); d = d.plusDays(1)) {
            int of = (d.getDayOfYear() + (y.latitude() < 0 ? 183 : 0)) % 365;
            spell = 0.8 * spell + random.nextGaussian() * 1.8;
            wet = random.nextDouble() < (wet ? 0.6 : 0.27);
            double middle = mean - 6.2 * Math.cos(2 * Math.PI * (of - COLDEST_DAY) / 365) + spell;
            double half = (wet ? 2.4 : 4.2) * (0.8 + 0.4 * random.nextDouble());
            double rain = wet ? -4 * Math.log(1 - random.nextDouble()) + 0.3 : 0;
            double humidity = Math.min(0.99, Math.max(0.35, (wet ? 0.88 : 0.74) + random.nextGaussian() * 0.05));
            days.add(new DayWeather(
                    d, round(middle - half), round(middle + half), round(Math.min(80, rain)), round2(humidity)));
        }
        return days;
    }

    private static double round(double x) {
        return Math.round(x * 10) / 10.0;
    }

    private static double round2(double x) {
        return Math.round(x * 100) / 100.0;
    }
}
