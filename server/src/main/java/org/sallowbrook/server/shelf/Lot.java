package org.sallowbrook.server.shelf;

import jakarta.persistence.CollectionTable;
import jakarta.persistence.Column;
import jakarta.persistence.ElementCollection;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.FetchType;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.Table;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.hibernate.annotations.BatchSize;
import org.hibernate.annotations.Fetch;
import org.hibernate.annotations.FetchMode;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.making.Product;
import org.sallowbrook.core.shelf.BoughtGate;
import org.sallowbrook.core.shelf.LotForm;
import org.sallowbrook.core.shelf.Stage;
import org.sallowbrook.core.shelf.Trait;
import org.sallowbrook.core.shelf.VesselKind;
import org.sallowbrook.server.platform.Versioned;

/** Anything that can be traced, from the stand to the tin. */
@Entity
@Table(name = "lot")
class Lot extends Versioned {

    String code = "";

    @Enumerated(EnumType.STRING)
    Stage stage = Stage.STOCK;

    @Enumerated(EnumType.STRING)
    LotForm form = LotForm.HERB;

    @Enumerated(EnumType.STRING)
    VesselKind vessel = VesselKind.JAR;

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

    /** Its lower end, where it is a range. */
    @Nullable
    Double strengthLowPercent;

    @Nullable
    Double moistureLow;

    @Nullable
    Double moistureHigh;

    /** What one piece of it holds, in its own unit; null for what is not in pieces. */
    @Nullable
    Double piece;

    @Column(name = "dried_g_per_unit_low")
    @Nullable
    Double driedGPerUnitLow;

    @Column(name = "dried_g_per_unit_high")
    @Nullable
    Double driedGPerUnitHigh;

    /** The dried herb in it. Read in batches: a subselect would forget the page and read the whole shelf. */
    @ElementCollection(fetch = FetchType.EAGER)
    @CollectionTable(name = "lot_herb", joinColumns = @JoinColumn(name = "lot_id"))
    @Fetch(FetchMode.SELECT)
    @BatchSize(size = 100)
    List<LotHerb> herbs = new ArrayList<>();

    @ElementCollection(fetch = FetchType.EAGER)
    @CollectionTable(name = "lot_trait", joinColumns = @JoinColumn(name = "lot_id"))
    @Column(name = "trait")
    @Enumerated(EnumType.STRING)
    @Fetch(FetchMode.SELECT)
    @BatchSize(size = 100)
    Set<Trait> traits = EnumSet.noneOf(Trait.class);

    @Enumerated(EnumType.STRING)
    Taxon.Route route = Taxon.Route.EXTERNAL;

    LocalDate madeOn = LocalDate.EPOCH;

    @Nullable
    LocalDate openedOn;

    @Nullable
    LocalDate bestBefore;

    /** Of what is counted in hours: until when it may stand in the room; null for all else. */
    @Nullable
    Instant roomUntil;

    /** Of what is counted in hours: until when it may stand in the refrigerator; null for all else. */
    @Nullable
    Instant coldUntil;

    @Enumerated(EnumType.STRING)
    Product.State state = Product.State.USABLE;

    @Nullable
    String stateReason;

    /** Why it is on hold, also while a quarantine hides the hold; null once released. */
    @Nullable
    String heldReason;

    /** Whether the hold is lifted by what is done with its batch only. */
    boolean heldByTheWork;

    /** Of a bottle: whether its filling was struck out. Its descent stays, and nothing is ever in it. */
    boolean neverFilled;

    /** Of what was put into a jar of its own: out of which; null for all else. */
    @Nullable
    UUID splitFrom;

    /** Whether two were poured into it. */
    boolean together;

    /** Of a harvest: whether it was laid out to dry. */
    boolean racked;

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

    /** The number on the label of what was bought; empty where there is none. */
    String supplierLot = "";

    /** When the desiccant in the jar was put in or changed; null without. */
    @Nullable
    LocalDate desiccantOn;

    @Nullable
    String holder;

    /** The household's own jar or bottle it stands in; null where nobody said which. */
    @Nullable
    UUID vesselId;

    /** What that holds brimful; null where unknown. */
    @Nullable
    Double vesselMl;

    /** What the card allows of one plant's part, and what it holds that goes on into everything made of it. */
    void of(Taxon taxon, Taxon.Part of) {
        boolean pyrrolizidine = taxon.constituents().contains(Taxon.Constituent.PYRROLIZIDINE);
        if (pyrrolizidine) {
            traits.add(Trait.PYRROLIZIDINE);
        }
        route = !pyrrolizidine
                        && taxon.usedPart(of)
                                .filter(p -> p.using().routes().contains(Taxon.Route.INTERNAL))
                                .isPresent()
                ? Taxon.Route.INTERNAL
                : Taxon.Route.EXTERNAL;
    }

    /** A part of it, the same in all but how much and where it stands. */
    Lot part(UUID id, double of) {
        Lot part = new Lot(id);
        part.splitFrom = this.id;
        part.stage = stage;
        part.form = form;
        part.vessel = vessel;
        part.name = name;
        part.taxonId = taxonId;
        part.part = this.part;
        part.unit = unit;
        part.amount = of;
        part.strengthPercent = strengthPercent;
        part.strengthLowPercent = strengthLowPercent;
        part.moistureLow = moistureLow;
        part.moistureHigh = moistureHigh;
        part.piece = piece;
        part.driedGPerUnitLow = driedGPerUnitLow;
        part.driedGPerUnitHigh = driedGPerUnitHigh;
        herbs.forEach(h -> part.herbs.add(new LotHerb(h.taxonId(), h.part(), h.driedG() * of / amount)));
        part.traits.addAll(traits);
        part.route = route;
        part.madeOn = madeOn;
        part.openedOn = openedOn;
        part.bestBefore = bestBefore;
        part.roomUntil = roomUntil;
        part.coldUntil = coldUntil;
        part.state = state;
        part.stateReason = stateReason;
        part.supplier = supplier;
        part.label = label;
        part.supplierLot = supplierLot;
        part.place = place;
        return part;
    }

    protected Lot() {}

    Lot(UUID id) {
        super(id);
    }
}
