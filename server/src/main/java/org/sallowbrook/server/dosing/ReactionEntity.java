package org.sallowbrook.server.dosing;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.Collection;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.dosing.Reaction;
import org.sallowbrook.server.platform.Entry;

/** What happened to somebody after something was taken or put on. */
@Entity
@Table(name = "reaction")
class ReactionEntity extends Entry {

    UUID personId = new UUID(0, 0);

    @Nullable
    UUID courseId;

    /** Ids of the plants that were in it, with spaces between. */
    String taxa = "";

    /** Names of the signs, with spaces between. */
    String signs = "";

    @Enumerated(EnumType.STRING)
    Reaction.Degree degree = Reaction.Degree.MILD;

    @Nullable
    Double hoursAfter;

    LocalDate onDay = LocalDate.EPOCH;
    String words = "";
    String notedBy = "";

    protected ReactionEntity() {}

    ReactionEntity(UUID id) {
        super(id);
    }

    void of(Collection<String> taxonIds, Collection<Reaction.Sign> seen) {
        taxa = String.join(" ", taxonIds);
        signs = seen.stream().sorted().map(Enum::name).collect(Collectors.joining(" "));
    }

    List<String> taxonIds() {
        return List.of(taxa.split(" "));
    }

    Set<Reaction.Sign> seen() {
        return Arrays.stream(signs.split(" ")).map(Reaction.Sign::valueOf).collect(Collectors.toSet());
    }
}
