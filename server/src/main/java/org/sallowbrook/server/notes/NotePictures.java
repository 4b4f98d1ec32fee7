package org.sallowbrook.server.notes;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface NotePictures extends JpaRepository<NotePicture, UUID> {

    /** Without the picture itself. */
    record Framed(UUID noteId, UUID id, int width, int height) {}

    @Query("select new org.sallowbrook.server.notes.NotePictures$Framed(p.noteId, p.id, p.width, p.height)"
            + " from NotePicture p where p.noteId in :notes order by p.id")
    List<Framed> of(Collection<UUID> notes);

    List<NotePicture> findAllByNoteIdInOrderById(Collection<UUID> noteIds);

    boolean existsByNoteId(UUID noteId);

    int countByNoteId(UUID noteId);
}
