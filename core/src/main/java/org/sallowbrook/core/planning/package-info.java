/** From the basket to the bottle and back. */
@NullMarked
package org.sallowbrook.core.planning;

import org.jspecify.annotations.NullMarked;
