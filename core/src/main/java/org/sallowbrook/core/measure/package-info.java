/** The small shared words: amounts with units, ranges, findings and refusals. Uses no other room. */
@NullMarked
package org.sallowbrook.core.measure;

import org.jspecify.annotations.NullMarked;
