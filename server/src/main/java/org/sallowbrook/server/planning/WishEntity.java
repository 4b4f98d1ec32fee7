package org.sallowbrook.server.planning;

import jakarta.persistence.CollectionTable;
import jakarta.persistence.Column;
import jakarta.persistence.ElementCollection;
import jakarta.persistence.Embeddable;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.FetchType;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.OrderColumn;
import jakarta.persistence.Table;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.hibernate.annotations.BatchSize;
import org.hibernate.annotations.Fetch;
import org.hibernate.annotations.FetchMode;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.planning.Basket;
import org.sallowbrook.server.platform.Versioned;

/** Something a household wants in hand. Thrown away it stays in its row. */
@Entity
@Table(name = "wish")
class WishEntity extends Versioned {

    /** One plant of which it may be made. */
    @Embeddable
    static class HerbOf {

        @Column(name = "taxon_id")
        String taxonId = "";

        @Enumerated(EnumType.STRING)
        Taxon.Part part = Taxon.Part.HERB;

        protected HerbOf() {}

        HerbOf(String taxonId, Taxon.Part part) {
            this.taxonId = taxonId;
            this.part = part;
        }
    }

    /** The least is the most important. */
    int place;

    String words = "";

    @Enumerated(EnumType.STRING)
    Basket.Product product = Basket.Product.DRIED;

    double amount;
    LocalDate fromDay = LocalDate.EPOCH;
    LocalDate untilDay = LocalDate.EPOCH;
    boolean evenly;
    boolean mayBuy;

    @Nullable
    UUID personId;

    @Nullable
    Instant thrownAwayAt;

    @ElementCollection(fetch = FetchType.EAGER)
    @CollectionTable(name = "wish_herb", joinColumns = @JoinColumn(name = "wish_id"))
    @OrderColumn(name = "place")
    @Fetch(FetchMode.SELECT)
    @BatchSize(size = 100)
    List<HerbOf> herbs = new ArrayList<>();

    protected WishEntity() {}

    WishEntity(UUID id) {
        super(id);
    }
}
