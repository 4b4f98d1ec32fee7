package org.sallowbrook.server.platform;

import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface AuditLog extends JpaRepository<AuditEntry, UUID> {}
