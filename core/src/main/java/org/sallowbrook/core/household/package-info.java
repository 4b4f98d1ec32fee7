/** Who lives here and who is given something, and which schools the household keeps to. */
@NullMarked
package org.sallowbrook.core.household;

import org.jspecify.annotations.NullMarked;
