/** Fresh herb kept otherwise than dry: salted or frozen. */
@NullMarked
package org.sallowbrook.core.making.kept;

import org.jspecify.annotations.NullMarked;
