package org.sallowbrook.server.field;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.time.LocalDate;
import java.util.UUID;
import org.sallowbrook.core.field.season.DayWeather;
import org.sallowbrook.server.platform.Owned;

/** One day of the household's own readings. */
@Entity
@Table(name = "weather_day")
class WeatherDay extends Owned {

    LocalDate onDay = LocalDate.EPOCH;

    @Column(name = "low_c")
    double lowC;

    @Column(name = "high_c")
    double highC;

    double rainMm;
    double humidity;

    protected WeatherDay() {}

    WeatherDay(UUID id, DayWeather w) {
        super(id);
        onDay = w.day();
        set(w);
    }

    void set(DayWeather w) {
        lowC = w.lowC();
        highC = w.highC();
        rainMm = w.rainMm();
        humidity = w.humidity();
    }

    DayWeather toCore() {
        return new DayWeather(onDay, lowC, highC, rainMm, humidity);
    }
}
