/** The small shared words: amounts with units, ranges, findings and refusals. */
@NullMarked
package org.sallowbrook.core.measure;

import org.jspecify.annotations.NullMarked;
