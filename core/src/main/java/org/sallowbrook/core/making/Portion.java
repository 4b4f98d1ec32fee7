package org.sallowbrook.core.making;

import org.jspecify.annotations.Nullable;

/**
 * What goes in, as the hand needs it: grams for the scale, and millilitres where it can be poured.
 *
 * @param volumeMl null for what is weighed only
 */
public record Portion(String name, double massG, @Nullable Double volumeMl) {}
