package org.sallowbrook.server.field;

import java.util.List;
import org.sallowbrook.server.platform.Stored;

/** A line on the household's map: longitude and latitude of each of its points, degrees. */
record StoredOutline(List<List<Double>> points) {

    static final Stored<StoredOutline> DOCUMENT = Stored.of("outline", StoredOutline.class);
}
