/** Reckons which plant it is from what was seen, and whether that is certain enough to pick. */
@NullMarked
package org.sallowbrook.core.identification;

import org.jspecify.annotations.NullMarked;
