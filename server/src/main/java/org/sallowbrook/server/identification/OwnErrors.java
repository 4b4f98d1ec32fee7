package org.sallowbrook.server.identification;

import java.util.HashMap;
import java.util.Map;
import org.sallowbrook.core.identification.Training;
import org.sallowbrook.server.herbarium.HerbariumService;
import org.sallowbrook.server.platform.Member;
import org.sallowbrook.server.platform.Owned;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** How often whoever is signed in misreads a character: it may raise what their looks must show, never lower it. */
@Service
@Transactional
public class OwnErrors {

    private final CharacterSkills skills;
    private final HerbariumService herbarium;

    OwnErrors(CharacterSkills skills, HerbariumService herbarium) {
        this.skills = skills;
        this.herbarium = herbarium;
    }

    /** Error rates above the vocabulary's, by character. */
    @Transactional(readOnly = true)
    public Map<String, Double> mine() {
        Map<String, Double> errors = new HashMap<>();
        for (CharacterSkill skill : skills.findAllByAccountId(Member.current().accountId())) {
            var definition = herbarium.herbarium().character(skill.characterId);
            if (definition != null) {
                double own = Training.error(definition.error(), skill.wrong, skill.asked);
                if (own > definition.error()) {
                    errors.put(skill.characterId, own);
                }
            }
        }
        return errors;
    }

    public void count(String character, boolean wrong) {
        var account = Member.current().accountId();
        CharacterSkill skill = skills.findByAccountIdAndCharacterId(account, character)
                .orElseGet(() -> {
                    CharacterSkill fresh = new CharacterSkill(Owned.newId());
                    fresh.accountId = account;
                    fresh.characterId = character;
                    return fresh;
                });
        skill.asked++;
        skill.wrong += wrong ? 1 : 0;
        skills.save(skill);
    }
}
