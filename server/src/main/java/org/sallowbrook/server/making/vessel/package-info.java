/** A volume split over the bottles, jars and tins at hand. */
@NullMarked
package org.sallowbrook.server.making.vessel;

import org.jspecify.annotations.NullMarked;
