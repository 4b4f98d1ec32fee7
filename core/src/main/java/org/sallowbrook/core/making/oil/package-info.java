/** Plans infused oils. Uses measure and shelf. */
@NullMarked
package org.sallowbrook.core.making.oil;

import org.jspecify.annotations.NullMarked;
