package org.sallowbrook.server.identification;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface CharacterSkills extends JpaRepository<CharacterSkill, UUID> {
    List<CharacterSkill> findAllByAccountId(UUID accountId);

    Optional<CharacterSkill> findByAccountIdAndCharacterId(UUID accountId, String characterId);
}
