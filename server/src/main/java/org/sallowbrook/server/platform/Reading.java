package org.sallowbrook.server.platform;

import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/**
 * What was read already while one view is made: nothing is read twice, and what is read of one is read at once of all that were
 * announced. It lives as long as a read-only transaction; anywhere else, where what is read may change, it only reads.
 */
@Component
public class Reading {

    /** What ids are of. */
    public enum Of {
        PERSON,
        LOT,
        COURSE
    }

    private static final class Memory {
        private final Map<Of, Set<UUID>> ahead = new HashMap<>();
        private final Map<List<Object>, Map<UUID, Object>> read = new HashMap<>();
        private final Map<Object, Object> once = new HashMap<>();
    }

    /** These will be asked for: whatever is read of one of them may be read of all. */
    public void ahead(Of of, Collection<UUID> ids) {
        Memory memory = memory();
        if (memory != null) {
            memory.ahead.computeIfAbsent(of, x -> new LinkedHashSet<>()).addAll(ids);
        }
    }

    /**
     * @param what is read, by a name of its own
     * @param read for many; what has none may be missing
     * @param none for what is missing
     */
    public <V> V of(Of of, String what, UUID id, Function<Set<UUID>, Map<UUID, V>> read, V none) {
        Memory memory = memory();
        if (memory == null) {
            return read.apply(Set.of(id)).getOrDefault(id, none);
        }
        Map<UUID, Object> known = memory.read.computeIfAbsent(List.of(of, what), x -> new HashMap<>());
        if (!known.containsKey(id)) {
            Set<UUID> wanted = new LinkedHashSet<>(memory.ahead.getOrDefault(of, Set.of()));
            wanted.removeAll(known.keySet());
            wanted.add(id);
            Map<UUID, V> found = read.apply(wanted);
            wanted.forEach(w -> known.put(w, found.getOrDefault(w, none)));
        }
        @SuppressWarnings("unchecked")
        V value = (V) known.get(id);
        return value;
    }

    /** Lists of many, by what they belong to. */
    public <V> List<V> listOf(
            Of of, String what, UUID id, Function<Set<UUID>, List<V>> read, Function<V, UUID> belongsTo) {
        return of(of, what, id, ids -> read.apply(ids).stream().collect(Collectors.groupingBy(belongsTo)), List.of());
    }

    /** What is the same for the whole view. @param key a name, with whatever else it depends on */
    public <V> V once(Object key, Supplier<V> read) {
        Memory memory = memory();
        if (memory == null) {
            return read.get();
        }
        @SuppressWarnings("unchecked")
        V known = (V) memory.once.get(key);
        if (known == null) {
            known = read.get();
            memory.once.put(key, known);
        }
        return known;
    }

    private @Nullable Memory memory() {
        if (!TransactionSynchronizationManager.isSynchronizationActive()
                || !TransactionSynchronizationManager.isCurrentTransactionReadOnly()) {
            return null;
        }
        Memory memory = (Memory) TransactionSynchronizationManager.getResource(this);
        if (memory == null) {
            memory = new Memory();
            TransactionSynchronizationManager.bindResource(this, memory);
            TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
                @Override
                public void afterCompletion(int status) {
                    TransactionSynchronizationManager.unbindResourceIfPossible(Reading.this);
                }
            });
        }
        return memory;
    }
}
