/**
 * What the preparations share: products, steps and the gates of the bench.
 *
 * <p>Each preparation is a <em>recipe</em> (what is wanted: {@code Tincture.Recipe}, {@code Tea.Recipe} ...), a <em>plan</em>
 * (what to weigh, pour, heat and wait, with intervals, findings and the equations), and a <em>record</em> (what was really
 * done: {@code TinctureRecord}, {@code OilRecord}, {@code ColdSpoon.Trial}, {@code Reduction.Reading}) from which something
 * follows and is learned.
 */
@NullMarked
package org.sallowbrook.core.making;

import org.jspecify.annotations.NullMarked;
