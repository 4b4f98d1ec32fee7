/** Doses, courses and the gates before anything is taken. Uses household, herbarium and making. */
@NullMarked
package org.sallowbrook.core.dosing;

import org.jspecify.annotations.NullMarked;
