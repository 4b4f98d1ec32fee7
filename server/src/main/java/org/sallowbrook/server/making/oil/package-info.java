/** Herb in oil, and a decoction boiled away into it. */
@NullMarked
package org.sallowbrook.server.making.oil;

import org.jspecify.annotations.NullMarked;
