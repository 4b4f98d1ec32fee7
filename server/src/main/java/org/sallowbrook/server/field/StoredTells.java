package org.sallowbrook.server.field;

import java.util.List;
import org.sallowbrook.server.platform.Stored;

/** The characters that were looked at again on what was picked. */
record StoredTells(List<String> characters) {

    static final Stored<StoredTells> DOCUMENT = Stored.of("tells", StoredTells.class);
}
