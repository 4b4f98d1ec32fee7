package org.sallowbrook.server.dosing;

import java.time.Instant;
import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.data.domain.Pageable;
import org.springframework.data.domain.Slice;
import org.springframework.data.jpa.repository.JpaRepository;

interface DirectUses extends JpaRepository<DirectUse, UUID> {
    List<DirectUse> findAllByPersonIdInAndOnDayGreaterThanEqual(Collection<UUID> personIds, LocalDate from);

    List<DirectUse> findAllByPersonIdOrderByOnDayDescIdDesc(UUID personId, Limit most);

    List<DirectUse> findAllByPersonIdAndNotedAtGreaterThan(UUID personId, Instant since);

    List<DirectUse> findAllByOnDayBetweenOrderByOnDayAscIdAsc(LocalDate from, LocalDate to, Limit most);

    /** To be looked after, and nobody has. */
    List<DirectUse> findAllByAskOnBetweenAndAskedOnIsNull(LocalDate from, LocalDate to);

    Slice<DirectUse> findAllByOrderByOnDayDescIdDesc(Pageable page);
}
