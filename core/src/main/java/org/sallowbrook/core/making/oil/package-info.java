/** Plans infused oils. */
@NullMarked
package org.sallowbrook.core.making.oil;

import org.jspecify.annotations.NullMarked;
