/** Measures: how far identification can be trusted, and how fast the reckoning is. Nothing here is asserted by a test. */
@NullMarked
package org.sallowbrook.bench;

import org.jspecify.annotations.NullMarked;
