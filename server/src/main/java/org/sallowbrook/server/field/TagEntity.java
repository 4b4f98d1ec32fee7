package org.sallowbrook.server.field;

import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.time.LocalDate;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.field.Tag;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.server.platform.Owned;

/** A staked plant of a stand and the identification it rests on. */
@Entity
@Table(name = "tag")
class TagEntity extends Owned {

    UUID standId = new UUID(0, 0);
    UUID identificationId = new UUID(0, 0);
    String stake = "";
    String place = "";

    @Nullable
    Double latitude;

    @Nullable
    Double longitude;

    LocalDate confirmedOn = LocalDate.EPOCH;
    String taggedBy = "";

    protected TagEntity() {}

    TagEntity(UUID id) {
        super(id);
    }

    Tag toCore(Taxon taxon) {
        return Tag.of(stake, confirmedOn, taxon);
    }
}
