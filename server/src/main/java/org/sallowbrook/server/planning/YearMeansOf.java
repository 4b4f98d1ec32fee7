package org.sallowbrook.server.planning;

import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface YearMeansOf extends JpaRepository<YearMeans, UUID> {}
