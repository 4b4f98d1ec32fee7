package org.sallowbrook.server.field;

import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface WeatherDays extends JpaRepository<WeatherDay, UUID> {
    List<WeatherDay> findAllByOnDayBetweenOrderByOnDay(LocalDate from, LocalDate to);

    boolean existsByOnDayGreaterThanEqual(LocalDate from);
}
