/** Chooses bottles, jars and tins from those at hand. Uses measure. */
@NullMarked
package org.sallowbrook.core.making.vessel;

import org.jspecify.annotations.NullMarked;
