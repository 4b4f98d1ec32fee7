package org.sallowbrook.server.notes;

import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.util.UUID;
import org.sallowbrook.server.platform.Owned;

/** A picture that goes with a note, drawn anew, so that nothing but the picture is left. */
@Entity
@Table(name = "note_picture")
class NotePicture extends Owned {

    UUID noteId = new UUID(0, 0);
    String addedBy = "";
    int width;
    int height;
    byte[] jpeg = new byte[0];

    protected NotePicture() {}

    NotePicture(UUID id) {
        super(id);
    }
}
