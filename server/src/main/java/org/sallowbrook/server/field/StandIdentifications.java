package org.sallowbrook.server.field;

import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface StandIdentifications extends JpaRepository<StandIdentification, UUID> {
    List<StandIdentification> findAllByStandIdOrderByOnDayDescKeptAtDesc(UUID standId);

    /** The newest look at each stand for the plant it is said to be. */
    @Query(
            "select i from StandIdentification i, Stand s where s.id = i.standId and i.forTaxon = coalesce(s.taxonId, '')"
                    + " and not exists (select 1 from StandIdentification o where o.standId = i.standId"
                    + " and o.forTaxon = i.forTaxon"
                    + " and (o.onDay > i.onDay or o.onDay = i.onDay and o.keptAt > i.keptAt))")
    List<StandIdentification> newest();

    /** Every look that may still speak, at every stand. */
    List<StandIdentification> findAllByOnDayGreaterThanEqual(LocalDate since);
}
