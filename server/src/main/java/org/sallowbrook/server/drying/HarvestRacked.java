package org.sallowbrook.server.drying;

import java.util.UUID;

/** A harvest was laid out to dry. */
public record HarvestRacked(UUID harvestId) {}
