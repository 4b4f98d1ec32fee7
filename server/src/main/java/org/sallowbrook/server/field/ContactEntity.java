package org.sallowbrook.server.field;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.time.LocalDate;
import java.util.UUID;
import org.sallowbrook.core.field.Contacts;
import org.sallowbrook.server.platform.Entry;

@Entity
@Table(name = "contact")
class ContactEntity extends Entry {

    UUID personId = new UUID(0, 0);
    String taxonId = "";
    LocalDate onDay = LocalDate.EPOCH;

    @Enumerated(EnumType.STRING)
    Contacts.Reaction reaction = Contacts.Reaction.NONE;

    String words = "";
    String notedBy = "";

    protected ContactEntity() {}

    ContactEntity(UUID id) {
        super(id);
    }
}
