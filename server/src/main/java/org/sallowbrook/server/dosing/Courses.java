package org.sallowbrook.server.dosing;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface Courses extends JpaRepository<CourseEntity, UUID> {
    List<CourseEntity> findAllByOrderByStartOnDescIdDesc();

    List<CourseEntity> findAllByPersonIdAndStatus(UUID personId, CourseEntity.Status status);

    List<CourseEntity> findAllByPersonId(UUID personId);
}
