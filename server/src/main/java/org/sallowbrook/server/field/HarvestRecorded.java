package org.sallowbrook.server.field;

import java.time.LocalDate;
import java.util.UUID;
import org.sallowbrook.core.herbarium.Taxon;

/** Something was picked; the shelf keeps its lot in the same transaction. */
public record HarvestRecorded(
        UUID standId,
        String standName,
        UUID harvestId,
        String code,
        String taxonId,
        Taxon.Part part,
        LocalDate on,
        double massG) {}
