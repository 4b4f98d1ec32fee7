/** How a stand fares over years: counts, what was taken, and whether it holds. Knows no storage. */
@NullMarked
package org.sallowbrook.core.field.years;

import org.jspecify.annotations.NullMarked;
