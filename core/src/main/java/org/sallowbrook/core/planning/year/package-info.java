/** The year ahead: from what a household wants in hand to walks, rack and bench by the week, and how sure it is. */
@NullMarked
package org.sallowbrook.core.planning.year;

import org.jspecify.annotations.NullMarked;
