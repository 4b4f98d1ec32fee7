/** Ethanol and water: density, mixing, diluting, blending. Uses measure alone. */
@NullMarked
package org.sallowbrook.core.making.spirit;

import org.jspecify.annotations.NullMarked;
