package org.sallowbrook.server.field;

import java.util.List;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.data.domain.Page;
import org.springframework.data.domain.Pageable;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface Stands extends JpaRepository<Stand, UUID> {
    List<Stand> findAllByPutAwayOnIsNullOrderByName();

    Page<Stand> findAllByPutAwayOnIsNotNullOrderByPutAwayOnDescIdDesc(Pageable page);

    /** @param words three patterns that name and place must all fit; what is put away comes last */
    @Query("select s from Stand s where lower(concat(s.name, ' ', s.place)) like :#{#words[0]}"
            + " and lower(concat(s.name, ' ', s.place)) like :#{#words[1]}"
            + " and lower(concat(s.name, ' ', s.place)) like :#{#words[2]}"
            + " order by case when s.putAwayOn is null then 0 else 1 end, s.name")
    List<Stand> named(List<String> words, Limit most);

    boolean existsByTaxonId(String taxonId);

    boolean existsByNameIgnoreCaseAndPlaceIgnoreCaseAndPutAwayOnIsNull(String name, String place);

    List<Stand> findAllByNameIgnoreCaseAndPutAwayOnIsNull(String name);
}
