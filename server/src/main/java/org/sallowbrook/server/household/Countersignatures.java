package org.sallowbrook.server.household;

import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface Countersignatures extends JpaRepository<Countersignature, UUID> {}
