package org.sallowbrook.server.field;

import java.util.UUID;

/** A harvest was struck out: it never was. Whoever knows that something was made of it forbids it. */
public record HarvestStruck(UUID harvestId, String reason) {}
