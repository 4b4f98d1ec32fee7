package org.sallowbrook.server.making;

import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * Spirit, oil, wax and their like: a lot of the shelf, or one that is only described, to reckon before it is there.
 *
 * @param lotId null for one that is described
 * @param called what a described one is; null for a lot
 * @param strengthPercent of a described spirit; null for a lot
 */
public record StockIn(
        @Nullable UUID lotId,
        @Nullable String called,
        @Nullable Double strengthPercent) {}
