/** Fresh herb kept otherwise than dry: salted or frozen. */
@NullMarked
package org.sallowbrook.server.making.kept;

import org.jspecify.annotations.NullMarked;
