package org.sallowbrook.server.field;

import java.time.LocalDate;
import java.util.List;
import org.sallowbrook.core.field.season.DayWeather;
import org.sallowbrook.core.field.season.Place;

/** A weather station beside the house; answered by a stand-in. A household's own file is read the same way. */
public interface Station {

    /** One reading a day, from the first to the last of them. */
    List<DayWeather> readings(Place place, LocalDate from, LocalDate to);
}
