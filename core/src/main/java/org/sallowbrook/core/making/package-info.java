/** What the preparations share: products and the gates of the bench. Uses shelf. */
@NullMarked
package org.sallowbrook.core.making;

import org.jspecify.annotations.NullMarked;
