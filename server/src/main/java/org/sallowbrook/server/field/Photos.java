package org.sallowbrook.server.field;

import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface Photos extends JpaRepository<Photo, UUID> {

    List<Photo> findAllByTakenOnBetweenOrderByTakenOnAscIdAsc(LocalDate from, LocalDate to, Limit most);

    /** Everything but the picture. */
    record Line(
            UUID id,
            @Nullable UUID identificationId,
            LocalDate takenOn,
            String addedBy,
            String words,
            int width,
            int height,
            @Nullable Double latitude,
            @Nullable Double longitude) {}

    @Query("""
            select new org.sallowbrook.server.field.Photos$Line(
                p.id, p.identificationId, p.takenOn, p.addedBy, p.words, p.width, p.height, p.latitude, p.longitude)
            from Photo p where p.standId = :standId order by p.takenOn desc, p.id desc""")
    List<Line> ofStand(UUID standId);
}
