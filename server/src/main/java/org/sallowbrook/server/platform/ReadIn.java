package org.sallowbrook.server.platform;

import java.util.List;

/**
 * What a room holds its own records to when they come from an archive and not through its doors: its documents are read as
 * strictly as any, and what a rule guards is judged by the rule.
 */
public interface ReadIn {

    /**
     * Reads all of the household's that this room keeps.
     *
     * @return what may not stay, each with its name; empty where all may
     * @throws Stored.Unreadable for a document this version can't read
     */
    List<String> wrong();
}
