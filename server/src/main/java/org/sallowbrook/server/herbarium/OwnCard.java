package org.sallowbrook.server.herbarium;

import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.util.UUID;
import org.sallowbrook.server.platform.Versioned;

/** A card of the household: a plant of its own, or its version of a shipped one. Kept as written. */
@Entity
@Table(name = "own_card")
class OwnCard extends Versioned {

    String taxonId = "";
    String yaml = "";

    protected OwnCard() {}

    OwnCard(UUID id) {
        super(id);
    }
}
