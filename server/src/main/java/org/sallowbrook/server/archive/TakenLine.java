package org.sallowbrook.server.archive;

import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.util.UUID;
import org.sallowbrook.server.platform.Owned;

/** What one line of a list brought: by the handle its room finds it again. */
@Entity
@Table(name = "taken_line")
class TakenLine extends Owned {

    UUID listId = new UUID(0, 0);
    int line;
    String handle = "";
    String name = "";

    protected TakenLine() {}

    TakenLine(UUID id) {
        super(id);
    }
}
