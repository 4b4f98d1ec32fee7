/** Who lives here and who is given something: what a reckoning must know of a person. Uses measure. */
@NullMarked
package org.sallowbrook.core.household;

import org.jspecify.annotations.NullMarked;
