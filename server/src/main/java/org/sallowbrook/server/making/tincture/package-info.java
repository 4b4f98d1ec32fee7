/** Herb in spirit and in its like, by weight, by eye, dripped through, joined. */
@NullMarked
package org.sallowbrook.server.making.tincture;

import org.jspecify.annotations.NullMarked;
