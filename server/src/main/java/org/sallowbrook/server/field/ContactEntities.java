package org.sallowbrook.server.field;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;

interface ContactEntities extends JpaRepository<ContactEntity, UUID> {
    List<ContactEntity> findAllByTaxonIdOrderByOnDayDescIdDesc(String taxonId, Limit most);

    List<ContactEntity> findAllByPersonIdIn(Collection<UUID> personIds);
}
