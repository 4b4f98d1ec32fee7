package org.sallowbrook.server.platform;

import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;

/**
 * What a room holds its own records to when they come from an archive and not through its doors: its documents are read as
 * strictly as any, and what a rule guards is judged by the rule.
 */
public interface ReadIn {

    /**
     * What came, and nothing that was here before.
     *
     * @param ids of the rows, by table
     * @param plants that the rows name, by id
     */
    record Came(Map<String, List<UUID>> ids, Set<String> plants) {
        public List<UUID> of(String table) {
            return ids.getOrDefault(table, List.of());
        }
    }

    /**
     * @return what may not stay, each with its name; empty where all may
     * @throws Stored.Unreadable for a document this version can't read
     */
    List<String> wrong(Came came);
}
