/** Stands and harvests: what may be taken, from where and how much. */
@NullMarked
package org.sallowbrook.core.field;

import org.jspecify.annotations.NullMarked;
