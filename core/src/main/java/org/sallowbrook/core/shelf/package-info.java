/** How long a thing keeps and whether it may go into a jar. */
@NullMarked
package org.sallowbrook.core.shelf;

import org.jspecify.annotations.NullMarked;
