/** For the skin: salves by tins and firmness, creams, poultices. */
@NullMarked
package org.sallowbrook.core.making.salve;

import org.jspecify.annotations.NullMarked;
