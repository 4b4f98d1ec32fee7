package org.sallowbrook.server.field;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface GroundShapes extends JpaRepository<GroundShape, UUID> {
    List<GroundShape> findAllByOrderByKindAscNameAscIdAsc();
}
