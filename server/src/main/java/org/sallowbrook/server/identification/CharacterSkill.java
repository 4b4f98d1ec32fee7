package org.sallowbrook.server.identification;

import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.util.UUID;
import org.sallowbrook.server.platform.Owned;

/** How often one member misread a character, in the trainer and when asked again at a look. */
@Entity
@Table(name = "character_skill")
class CharacterSkill extends Owned {

    UUID accountId = new UUID(0, 0);
    String characterId = "";
    int asked;
    int wrong;

    protected CharacterSkill() {}

    CharacterSkill(UUID id) {
        super(id);
    }
}
