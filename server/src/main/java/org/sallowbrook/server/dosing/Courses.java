package org.sallowbrook.server.dosing;

import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.data.domain.Pageable;
import org.springframework.data.domain.Slice;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface Courses extends JpaRepository<CourseEntity, UUID> {
    /** Running ones that are not over. */
    List<CourseEntity> findAllByStatusAndLastDayGreaterThanEqualOrderByStartOnDescIdDesc(
            CourseEntity.Status status, LocalDate day);

    @Query("select c from CourseEntity c where c.status <> :running or c.lastDay < :day"
            + " order by c.startOn desc, c.id desc")
    Slice<CourseEntity> over(CourseEntity.Status running, LocalDate day, Pageable page);

    List<CourseEntity> findAllByPersonIdOrderByStartOnDescIdDesc(UUID personId, Limit most);

    List<CourseEntity> findAllByStartOnBetweenOrderByStartOnAscIdAsc(LocalDate from, LocalDate to, Limit most);

    List<CourseEntity> findAllByFollowsIdInOrderByStartOn(Collection<UUID> followsIds);

    List<CourseEntity> findAllByPersonIdInAndStatusAndLastDayGreaterThanEqual(
            Collection<UUID> personIds, CourseEntity.Status status, LocalDate day);
}
