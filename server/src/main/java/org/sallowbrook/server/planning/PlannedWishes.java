package org.sallowbrook.server.planning;

import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface PlannedWishes extends JpaRepository<PlannedWish, UUID> {}
