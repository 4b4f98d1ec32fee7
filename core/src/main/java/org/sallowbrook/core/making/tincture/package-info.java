/** Plans a tincture by weight to volume. */
@NullMarked
package org.sallowbrook.core.making.tincture;

import org.jspecify.annotations.NullMarked;
