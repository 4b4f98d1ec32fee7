package org.sallowbrook.server.field;

import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.time.LocalDate;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.server.platform.Owned;

/** A picture somebody took of a stand, drawn anew, so that nothing but the picture is left. */
@Entity
@Table(name = "photo")
class Photo extends Owned {

    UUID standId = new UUID(0, 0);

    @Nullable
    UUID identificationId;

    LocalDate takenOn = LocalDate.EPOCH;
    String addedBy = "";
    String words = "";
    int width;
    int height;

    @Nullable
    Double latitude;

    @Nullable
    Double longitude;

    byte[] jpeg = new byte[0];

    protected Photo() {}

    Photo(UUID id) {
        super(id);
    }
}
