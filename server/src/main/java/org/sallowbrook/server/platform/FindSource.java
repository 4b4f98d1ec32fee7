package org.sallowbrook.server.platform;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.UUID;

/** A room that holds things people look for by name. */
public interface FindSource {

    enum Kind {
        PLANT,
        STAND,
        HARVEST,
        STOCK,
        BATCH,
        FILLED,
        PERSON,
        NOTE
    }

    /** What a room keeps, and a note can be about; a batch is a lot. */
    enum Thing {
        PLANT,
        STAND,
        LOT,
        PERSON,
        NOTE
    }

    /**
     * @param note what tells it from another of the same name: a code, a place, a scientific name; may be empty
     * @param past whether it is over, used up or put away
     */
    record Hit(Kind kind, String id, String name, String note, Boolean past) {}

    /**
     * @param words as typed, 1 to 80 letters
     * @param most hits wanted at the most
     * @return the nearest first
     */
    List<Hit> find(String words, int most);

    Thing holds();

    /** Those there are of these ids, over or not, each read at once with the others. */
    List<Hit> named(Collection<String> ids);

    /** Without what is no id. */
    static List<UUID> uuids(Collection<String> ids) {
        List<UUID> uuids = new ArrayList<>();
        for (String id : ids) {
            try {
                uuids.add(UUID.fromString(id));
            } catch (IllegalArgumentException e) {
                // It names nothing.
                continue;
            }
        }
        return uuids;
    }
}
