/** For the skin: salves, creams, poultices, and the cold spoon they are tried on. */
@NullMarked
package org.sallowbrook.server.making.salve;

import org.jspecify.annotations.NullMarked;
