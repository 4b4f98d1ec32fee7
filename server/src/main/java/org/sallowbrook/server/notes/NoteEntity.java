package org.sallowbrook.server.notes;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.time.Instant;
import java.time.LocalDate;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.notes.ComeBack;
import org.sallowbrook.server.platform.FindSource;
import org.sallowbrook.server.platform.Versioned;

/** A note. Thrown away it stays in its row, and no query but the one that brings it back finds it. */
@Entity
@Table(name = "note")
class NoteEntity extends Versioned {

    @Enumerated(EnumType.STRING)
    FindSource.@Nullable Thing about;

    @Nullable
    String aboutId;

    LocalDate onDay = LocalDate.EPOCH;
    Instant writtenAt = Instant.EPOCH;
    String writtenBy = "";
    String words = "";
    String colour = "";
    String clarity = "";
    String smell = "";
    String feel = "";
    String taste = "";
    String place = "";

    @Nullable
    Double latitude;

    @Nullable
    Double longitude;

    @Enumerated(EnumType.STRING)
    ComeBack.@Nullable When comeBack;

    @Nullable
    LocalDate comeBackOn;

    @Nullable
    LocalDate beenBackOn;

    @Nullable
    String beenBackBy;

    @Nullable
    Instant thrownAwayAt;

    protected NoteEntity() {}

    NoteEntity(UUID id) {
        super(id);
    }
}
