package org.sallowbrook.server.field;

import java.util.UUID;

/** A doubt about a stand has come back. */
public record StandDoubted(UUID standId, String standName, String reason) {}
