package org.sallowbrook.server.platform;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface AuditLog extends JpaRepository<AuditEntry, UUID> {
    List<AuditEntry> findAllBySubjectId(UUID subjectId);
}
