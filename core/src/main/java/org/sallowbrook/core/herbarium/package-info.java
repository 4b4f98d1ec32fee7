/** What is known of a plant, each figure with its source; checks a card. Knows no file format. */
@NullMarked
package org.sallowbrook.core.herbarium;

import org.jspecify.annotations.NullMarked;
