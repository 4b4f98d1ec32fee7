/** Plans water preparations on one timeline. Uses measure and shelf. */
@NullMarked
package org.sallowbrook.core.making.tea;

import org.jspecify.annotations.NullMarked;
