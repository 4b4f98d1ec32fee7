package org.sallowbrook.server.dosing;

import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface DiaryDays extends JpaRepository<DiaryDay, UUID> {
    List<DiaryDay> findAllByCourseIdOrderByOnDay(UUID courseId);

    List<DiaryDay> findAllByCourseIdInAndOnDay(Collection<UUID> courseIds, LocalDate day);
}
