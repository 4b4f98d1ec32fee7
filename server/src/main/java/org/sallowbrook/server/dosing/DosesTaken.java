package org.sallowbrook.server.dosing;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface DosesTaken extends JpaRepository<DoseTaken, UUID> {
    List<DoseTaken> findAllByCourseId(UUID courseId);
}
