/** Herb that stays dry: tea mixtures and powders. */
@NullMarked
package org.sallowbrook.core.making.dry;

import org.jspecify.annotations.NullMarked;
