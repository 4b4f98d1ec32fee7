package org.sallowbrook.server.making;

import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.data.domain.Pageable;
import org.springframework.data.domain.Slice;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface Batches extends JpaRepository<Batch, UUID> {

    List<Batch> findAllByStatusNotOrderByStartedOnDescIdDesc(BatchStatus status);

    Slice<Batch> findAllByStatusOrderByStartedOnDescIdDesc(BatchStatus status, Pageable page);

    List<Batch> findAllByStartedOnBetweenOrderByStartedOnAscIdAsc(LocalDate from, LocalDate to, Limit most);

    /** What the marc kept in the latest pressings. */
    @Query("select b.marcKeptMlPerG from Batch b where b.marcKeptMlPerG is not null order by b.pressOn desc")
    List<Double> marcKept(Limit most);
}
