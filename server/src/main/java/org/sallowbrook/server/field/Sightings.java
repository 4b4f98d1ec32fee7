package org.sallowbrook.server.field;

import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.sallowbrook.core.herbarium.LifeStage;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface Sightings extends JpaRepository<Sighting, UUID> {

    /** When a stage was first seen at a stand in a year: a line for each, however often it was looked at. */
    record First(UUID standId, LifeStage stage, Integer year, LocalDate first) {}

    List<Sighting> findAllByStandIdOrderByOnDayDescIdDesc(UUID standId, Limit most);

    @Query("""
            select new org.sallowbrook.server.field.Sightings$First(
                s.standId, s.stage, extract(year from s.onDay), min(s.onDay))
            from Sighting s group by s.standId, s.stage, extract(year from s.onDay)""")
    List<First> firsts();

    @Query("""
            select new org.sallowbrook.server.field.Sightings$First(
                i.standId, i.stage, extract(year from i.onDay), min(i.onDay))
            from StandIdentification i, Stand s where s.id = i.standId and i.forTaxon = s.taxonId
            group by i.standId, i.stage, extract(year from i.onDay)""")
    List<First> firstLooks();
}
