/** Herb that stays dry: tea mixtures and powders. */
@NullMarked
package org.sallowbrook.server.making.dry;

import org.jspecify.annotations.NullMarked;
