package org.sallowbrook.server.field;

import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.Taxon;
import org.springframework.data.domain.Limit;
import org.springframework.data.domain.Pageable;
import org.springframework.data.domain.Slice;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface Harvests extends JpaRepository<Harvest, UUID> {
    List<Harvest> findAllByMassGIsNotNullAndOnDayGreaterThanEqualOrderByOnDayDescIdDesc(LocalDate from);

    Slice<Harvest> findAllByMassGIsNullOrderByOnDayDescIdDesc(Pageable page);

    Slice<Harvest> findAllByOrderByOnDayDescIdDesc(Pageable page);

    List<Harvest> findAllByOnDayBetweenOrderByOnDayAscIdAsc(LocalDate from, LocalDate to, Limit most);

    boolean existsByStandId(UUID standId);

    boolean existsByOnDayGreaterThanEqual(LocalDate from);

    boolean existsByStandIdAndOnDayGreaterThanEqual(UUID standId, LocalDate from);

    /** Visits that leave something for another day, and after which nothing was picked at the stand. */
    @Query("select h from Harvest h, Stand s where s.id = h.standId and s.putAwayOn is null"
            + " and h.returnOn >= :from and h.returnOn <= :to and not exists (select 1 from Harvest o"
            + " where o.standId = h.standId and (o.onDay > h.onDay or o.onDay = h.onDay and o.id > h.id))")
    List<Harvest> toReturnTo(LocalDate from, LocalDate to);

    @Query("select sum(h.massG) / sum(h.shareTaken) from Harvest h"
            + " where h.standId = :stand and h.part = :part and h.massG is not null and h.shareTaken > 0")
    @Nullable
    Double wholeG(UUID stand, Taxon.Part part);

    /** What was struck out as well. */
    @Query(value = "select exists (select 1 from harvest where stand_id = :stand)", nativeQuery = true)
    boolean everAtStand(UUID stand);

    @Query("select coalesce(sum(h.shareTaken), 0) from Harvest h"
            + " where h.standId = :stand and h.part = :part and h.onDay >= :from and h.onDay <= :to")
    double sharePicked(UUID stand, Taxon.Part part, LocalDate from, LocalDate to);
}
