package org.sallowbrook.server.dosing;

import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.sallowbrook.core.dosing.DosingGate;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface DosesTaken extends JpaRepository<DoseTaken, UUID> {

    record OfPerson(UUID courseId, UUID lotId, DosingGate.Way way, LocalDate onDay, double amount) {}

    List<DoseTaken> findAllByCourseId(UUID courseId);

    List<DoseTaken> findAllByCourseIdIn(Collection<UUID> courseIds);

    /** What a person took since a day, whatever became of the course. */
    @Query("select new org.sallowbrook.server.dosing.DosesTaken$OfPerson(d.courseId, c.lotId, c.way, d.onDay, d.amount)"
            + " from DoseTaken d join CourseEntity c on c.id = d.courseId"
            + " where c.personId = :person and d.onDay >= :from")
    List<OfPerson> ofPerson(UUID person, LocalDate from);
}
