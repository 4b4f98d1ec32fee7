package org.sallowbrook.server.platform;

import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Reads documents that were kept, which hold what was reckoned of them as well; a request never does. */
public final class StoredJson {

    static final String STORED = StoredJson.class.getName();

    private StoredJson() {}

    public static <T> T read(JsonMapper json, JsonNode tree, Class<T> type) {
        return json.readerFor(type).withAttribute(STORED, true).readValue(tree);
    }
}
