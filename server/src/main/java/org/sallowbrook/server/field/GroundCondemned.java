package org.sallowbrook.server.field;

import java.util.UUID;

/** The ground of a stand was found to be contaminated: whatever came from it must be found. */
public record GroundCondemned(UUID standId, String standName) {}
