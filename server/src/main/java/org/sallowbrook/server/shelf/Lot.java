package org.sallowbrook.server.shelf;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.time.LocalDate;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.making.Product;
import org.sallowbrook.core.shelf.BoughtGate;
import org.sallowbrook.server.platform.Versioned;

/** Anything that can be traced, from the stand to the tin. */
@Entity
@Table(name = "lot")
class Lot extends Versioned {

    String code = "";

    @Enumerated(EnumType.STRING)
    LotKind kind = LotKind.JAR;

    /** What was made; null for what was gathered or bought. */
    @Enumerated(EnumType.STRING)
    @Nullable
    LotForm form;

    String name = "";

    @Nullable
    String taxonId;

    @Enumerated(EnumType.STRING)
    Taxon.@Nullable Part part;

    String unit = "g";
    double amount;
    double remaining;

    @Nullable
    Double strengthPercent;

    @Nullable
    Double moistureLow;

    @Nullable
    Double moistureHigh;

    @Column(name = "dried_g_per_unit_low")
    @Nullable
    Double driedGPerUnitLow;

    @Column(name = "dried_g_per_unit_high")
    @Nullable
    Double driedGPerUnitHigh;

    /** JSON list of the dried herb in it. */
    String herbs = "[]";

    @Enumerated(EnumType.STRING)
    Taxon.Route route = Taxon.Route.EXTERNAL;

    boolean denatured;
    boolean pyrrolizidine;
    boolean honey;
    LocalDate madeOn = LocalDate.EPOCH;

    @Nullable
    LocalDate openedOn;

    @Nullable
    LocalDate bestBefore;

    @Enumerated(EnumType.STRING)
    Product.State state = Product.State.USABLE;

    @Nullable
    String stateReason;

    /** Why it is on hold, also while a quarantine hides the hold; null once released. */
    @Nullable
    String heldReason;

    /** No hold is lifted before this day; null where time alone resolves nothing. */
    @Nullable
    LocalDate heldUntil;

    /** Whose it was before it was bought; null for what was gathered or made here. */
    @Nullable
    String supplier;

    @Enumerated(EnumType.STRING)
    BoughtGate.@Nullable Label label;

    /** Why this very lot is doubted, whatever it was made from; null when it is not. */
    @Nullable
    String doubt;

    String place = "";

    @Nullable
    String holder;

    protected Lot() {}

    Lot(UUID id) {
        super(id);
    }
}
