package org.sallowbrook.server.notes;

import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.server.platform.FindSource;
import org.springframework.data.domain.Limit;
import org.springframework.data.domain.Pageable;
import org.springframework.data.domain.Slice;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface NoteEntities extends JpaRepository<NoteEntity, UUID> {

    @Query("select n from NoteEntity n where n.thrownAwayAt is null order by n.onDay desc, n.id desc")
    Slice<NoteEntity> all(Pageable page);

    @Query("select n from NoteEntity n where n.thrownAwayAt is null and n.about = :about and n.aboutId = :id"
            + " order by n.onDay desc, n.id desc")
    Slice<NoteEntity> about(FindSource.@Nullable Thing about, @Nullable String id, Pageable page);

    @Query("select n from NoteEntity n where n.thrownAwayAt is null and n.about = :about and n.aboutId in :ids"
            + " order by n.onDay desc, n.id desc")
    List<NoteEntity> about(FindSource.Thing about, Collection<String> ids, Limit most);

    /** The latest of each thing of a kind. Native, so it carries its household. */
    @Query(
            nativeQuery = true,
            value = "select id from (select id, on_day, row_number() over"
                    + " (partition by about_id order by on_day desc, id desc) as nth from note"
                    + " where household_id = :household and about = :about and thrown_away_at is null) latest"
                    + " where nth <= :each order by on_day desc, id desc limit :most")
    List<UUID> latestOfEach(UUID household, String about, int each, int most);

    /** Where somebody means to come back and has not yet. */
    @Query("select n from NoteEntity n where n.thrownAwayAt is null and n.comeBack is not null and n.beenBackOn is null"
            + " order by n.onDay, n.id")
    List<NoteEntity> waiting(Limit most);

    @Query("select n from NoteEntity n where n.thrownAwayAt is null and n.onDay >= :from and n.onDay <= :to"
            + " order by n.onDay, n.id")
    List<NoteEntity> between(LocalDate from, LocalDate to, Limit most);

    /** What has a place of its own and is about nothing that has one. */
    @Query("select n from NoteEntity n where n.thrownAwayAt is null and n.latitude is not null and n.about is null"
            + " order by n.onDay desc, n.id desc")
    List<NoteEntity> placed(Limit most);

    @Query("select n from NoteEntity n where n.thrownAwayAt is null"
            + " and lower(concat(n.words, ' ', n.place, ' ', n.colour, ' ', n.clarity, ' ', n.smell, ' ', n.feel, ' ', n.taste)) like :#{#words[0]}"
            + " and lower(concat(n.words, ' ', n.place, ' ', n.colour, ' ', n.clarity, ' ', n.smell, ' ', n.feel, ' ', n.taste)) like :#{#words[1]}"
            + " and lower(concat(n.words, ' ', n.place, ' ', n.colour, ' ', n.clarity, ' ', n.smell, ' ', n.feel, ' ', n.taste)) like :#{#words[2]}"
            + " order by n.onDay desc, n.id desc")
    List<NoteEntity> saying(List<String> words, Limit most);
}
