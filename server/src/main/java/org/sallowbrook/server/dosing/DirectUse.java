package org.sallowbrook.server.dosing;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.time.Instant;
import java.time.LocalDate;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.dosing.Direct;
import org.sallowbrook.core.dosing.DosingGate;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.server.platform.Entry;

/** A plant used as it is, without anything being made of it. */
@Entity
@Table(name = "direct_use")
class DirectUse extends Entry {

    UUID personId = new UUID(0, 0);
    String taxonId = "";

    @Enumerated(EnumType.STRING)
    Taxon.Part part = Taxon.Part.LEAF;

    @Enumerated(EnumType.STRING)
    Direct.Manner manner = Direct.Manner.CRUSHED;

    /** The manner's own, so that a query need not know manners. */
    @Enumerated(EnumType.STRING)
    DosingGate.Way way = DosingGate.Way.SKIN;

    @Nullable
    UUID standId;

    @Nullable
    UUID lotId;

    /** As it was used; null where nobody weighed it. */
    @Nullable
    Double grams;

    @Enumerated(EnumType.STRING)
    DosingGate.@Nullable Skin skin;

    boolean forTrial;
    LocalDate onDay = LocalDate.EPOCH;
    String words = "";

    /** When to look how it went; null where nothing needs looking after. */
    @Nullable
    LocalDate askOn;

    @Nullable
    LocalDate askedOn;

    String notedBy = "";

    /** Null for what was noted before such times were kept. */
    @Nullable
    Instant notedAt;

    /** What was swallowed out of a bottle; null for what is weighed. */
    @Nullable
    Double ml;

    protected DirectUse() {}

    DirectUse(UUID id) {
        super(id);
    }
}
