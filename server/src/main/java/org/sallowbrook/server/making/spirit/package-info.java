/** Spirit: mixed, diluted, blended from the shelf, read by the alcoholmeter. */
@NullMarked
package org.sallowbrook.server.making.spirit;

import org.jspecify.annotations.NullMarked;
