package org.sallowbrook.server.drying;

import java.util.UUID;

/** Mould was found on the rack: the lot is destroyed and everything made from it must be found. */
public record LotMoulded(UUID runId, UUID harvestId, String code) {}
