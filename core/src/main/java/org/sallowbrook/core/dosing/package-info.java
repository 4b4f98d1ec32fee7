/** Doses, courses and the gates before anything is taken. */
@NullMarked
package org.sallowbrook.core.dosing;

import org.jspecify.annotations.NullMarked;
