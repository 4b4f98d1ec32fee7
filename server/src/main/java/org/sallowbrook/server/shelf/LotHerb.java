package org.sallowbrook.server.shelf;

import jakarta.persistence.Column;
import jakarta.persistence.Embeddable;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import org.sallowbrook.core.herbarium.Taxon;

/** So much dried herb of one plant's part in a lot. */
@Embeddable
record LotHerb(
        String taxonId,
        @Enumerated(EnumType.STRING) Taxon.Part part,
        @Column(name = "dried_g") double driedG) {}
