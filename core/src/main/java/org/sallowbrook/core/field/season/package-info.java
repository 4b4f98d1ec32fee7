/** When a plant is ready: warmth, months, and what was seen before, as a day with its uncertainty. Knows no storage. */
@NullMarked
package org.sallowbrook.core.field.season;

import org.jspecify.annotations.NullMarked;
