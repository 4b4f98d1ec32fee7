/** Plans salves by tins and firmness. Uses measure. */
@NullMarked
package org.sallowbrook.core.making.salve;

import org.jspecify.annotations.NullMarked;
