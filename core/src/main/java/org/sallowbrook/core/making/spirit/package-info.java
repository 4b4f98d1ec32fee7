/** Ethanol and water: density, mixing, diluting, blending. */
@NullMarked
package org.sallowbrook.core.making.spirit;

import org.jspecify.annotations.NullMarked;
