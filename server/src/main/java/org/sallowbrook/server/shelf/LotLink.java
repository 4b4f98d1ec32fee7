package org.sallowbrook.server.shelf;

import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.util.UUID;
import org.sallowbrook.server.platform.Owned;

/** How much of one lot went into another. */
@Entity
@Table(name = "lot_link")
class LotLink extends Owned {

    UUID fromLot = new UUID(0, 0);
    UUID toLot = new UUID(0, 0);
    double amount;
    String unit = "g";

    protected LotLink() {}

    LotLink(UUID id, UUID fromLot, UUID toLot, double amount, String unit) {
        super(id);
        this.fromLot = fromLot;
        this.toLot = toLot;
        this.amount = amount;
        this.unit = unit;
    }
}
