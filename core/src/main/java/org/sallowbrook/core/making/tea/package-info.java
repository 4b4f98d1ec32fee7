/** Plans water preparations on one timeline. */
@NullMarked
package org.sallowbrook.core.making.tea;

import org.jspecify.annotations.NullMarked;
