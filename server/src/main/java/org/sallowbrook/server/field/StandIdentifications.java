package org.sallowbrook.server.field;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.field.IdentityOnRecord;
import org.sallowbrook.core.herbarium.LifeStage;
import org.sallowbrook.core.identification.Identification;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface StandIdentifications extends JpaRepository<StandIdentification, UUID> {
    List<StandIdentification> findAllByStandIdOrderByOnDayDescKeptAtDesc(UUID standId);

    /** The newest look at each stand for the plant it is said to be. */
    @Query("select i from Stand s join StandIdentification i on i.id = (select o.id from StandIdentification o"
            + " where o.standId = s.id and o.forTaxon = coalesce(s.taxonId, '')"
            + " order by o.onDay desc, o.keptAt desc limit 1)")
    List<StandIdentification> newest();

    Optional<StandIdentification> findFirstByStandIdOrderByOnDayDescKeptAtDesc(UUID standId);

    Optional<StandIdentification> findFirstByStandIdAndForTaxonOrderByOnDayDescKeptAtDesc(
            UUID standId, String forTaxon);

    /** A look without what was seen and what the engine made of it, which is many times the size. */
    record At(
            UUID standId,
            String forTaxon,
            LocalDate on,
            Instant keptAt,
            LifeStage stage,
            Identification.Status status,
            @Nullable UUID by,
            boolean otherPlants) {

        IdentityOnRecord.Look look() {
            return new IdentityOnRecord.Look(
                    forTaxon, on, keptAt, stage, status, by == null ? null : by.toString(), otherPlants);
        }
    }

    String AT =
            "select new org.sallowbrook.server.field.StandIdentifications$At(i.standId, i.forTaxon, i.onDay, i.keptAt,"
                    + " i.stage, i.status, i.lookedBy, i.otherPlants) from StandIdentification i";

    /** All of one stand, the newest first. */
    @Query(AT + " where i.standId = :stand order by i.onDay desc, i.keptAt desc")
    List<At> at(UUID stand);

    /** Every look that may still speak, at every stand. */
    @Query(AT + " where i.onDay >= :since")
    List<At> since(LocalDate since);
}
