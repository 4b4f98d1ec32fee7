/** Plans a tincture by weight to volume. Uses spirit. */
@NullMarked
package org.sallowbrook.core.making.tincture;

import org.jspecify.annotations.NullMarked;
