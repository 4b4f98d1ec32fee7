/** From the basket to the bottle and back. Uses every room before it. */
@NullMarked
package org.sallowbrook.core.planning;

import org.jspecify.annotations.NullMarked;
