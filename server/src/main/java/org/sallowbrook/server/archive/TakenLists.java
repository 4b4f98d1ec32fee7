package org.sallowbrook.server.archive;

import java.util.List;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;

interface TakenLists extends JpaRepository<TakenList, UUID> {
    List<TakenList> findAllByOrderByTakenAtDescIdDesc(Limit most);
}
