/** Chooses bottles, jars and tins from those at hand. */
@NullMarked
package org.sallowbrook.core.making.vessel;

import org.jspecify.annotations.NullMarked;
