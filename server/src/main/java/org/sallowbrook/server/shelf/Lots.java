package org.sallowbrook.server.shelf;

import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.making.Product;
import org.sallowbrook.core.shelf.LotForm;
import org.sallowbrook.core.shelf.Stage;
import org.springframework.data.domain.Limit;
import org.springframework.data.domain.Pageable;
import org.springframework.data.domain.Slice;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface Lots extends JpaRepository<Lot, UUID> {

    /** What there is something left of. */
    List<Lot> findAllByRemainingGreaterThanOrderByMadeOnDescCodeDesc(double least, Limit most);

    /** What was used up, given up or thrown away. @param words three patterns that name, code, place and shop must all fit */
    @Query("select l from Lot l where l.remaining <= 0 and l.stage in :stages"
            + " and lower(concat(l.name, ' ', l.code, ' ', l.place, ' ', coalesce(l.supplier, ''))) like :#{#words[0]}"
            + " and lower(concat(l.name, ' ', l.code, ' ', l.place, ' ', coalesce(l.supplier, ''))) like :#{#words[1]}"
            + " and lower(concat(l.name, ' ', l.code, ' ', l.place, ' ', coalesce(l.supplier, ''))) like :#{#words[2]}"
            + " order by l.madeOn desc, l.code desc")
    Slice<Lot> usedUp(Collection<Stage> stages, List<String> words, Pageable page);

    /** Those not of a stage, what is left of them first. @param words as of {@link #usedUp} */
    @Query("select l from Lot l where l.stage <> :without"
            + " and lower(concat(l.name, ' ', l.code, ' ', l.place, ' ', coalesce(l.supplier, ''))) like :#{#words[0]}"
            + " and lower(concat(l.name, ' ', l.code, ' ', l.place, ' ', coalesce(l.supplier, ''))) like :#{#words[1]}"
            + " and lower(concat(l.name, ' ', l.code, ' ', l.place, ' ', coalesce(l.supplier, ''))) like :#{#words[2]}"
            + " order by case when l.remaining > 0 then 0 else 1 end, l.madeOn desc, l.code desc")
    List<Lot> named(Stage without, List<String> words, Limit most);

    /** What must be called back, set aside, or used up by a day; and jars whose desiccant was put in before one. */
    @Query(
            "select l from Lot l where l.remaining > 0 and (l.desiccantOn <= :desiccantBefore"
                    + " or l.state = :setAside and l.stage <> :without or l.state = :destroyed and l.holder is not null or l.stage in :stages and l.bestBefore <= :until)")
    List<Lot> toSee(
            Collection<Stage> stages,
            Stage without,
            Product.State setAside,
            Product.State destroyed,
            LocalDate until,
            LocalDate desiccantBefore);

    List<Lot> findAllByIdInAndRemainingGreaterThan(Collection<UUID> ids, double least);

    List<Lot> findAllByStageAndFormAndRemainingGreaterThanOrderByCode(
            Stage stage, LotForm form, double least, Limit most);

    List<Lot> findAllByStageOrderByName(Stage stage);

    boolean existsByTaxonId(String taxonId);

    @Query("select count(l) > 0 from Lot l where l.remaining > 0 and l.form = :form and lower(l.name) = lower(:name)"
            + " and lower(l.place) = lower(:place) and l.amount = :amount and coalesce(l.bestBefore, :never) = :best")
    boolean supplied(LotForm form, String name, String place, double amount, LocalDate best, LocalDate never);

    @Query("select count(l) > 0 from Lot l where l.remaining > 0 and l.taxonId = :taxon and l.part = :part"
            + " and lower(l.supplier) = lower(:supplier) and l.amount = :amount and l.madeOn = :on")
    boolean bought(String taxon, Taxon.Part part, String supplier, double amount, LocalDate on);
}
