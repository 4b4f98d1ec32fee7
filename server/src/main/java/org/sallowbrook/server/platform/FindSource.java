package org.sallowbrook.server.platform;

import java.util.List;
import java.util.Optional;
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

    /** One by its id, over or not. */
    Optional<Hit> named(String id);

    /** Empty for what is no id. */
    default Optional<UUID> idOf(String id) {
        try {
            return Optional.of(UUID.fromString(id));
        } catch (IllegalArgumentException e) {
            return Optional.empty();
        }
    }
}
