package org.sallowbrook.server.dosing;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface AskedAfters extends JpaRepository<AskedAfter, UUID> {
    List<AskedAfter> findAllByCourseIdInOrderByOnDayDescIdDesc(Collection<UUID> courseIds);
}
