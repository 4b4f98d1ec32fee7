package org.sallowbrook.server.herbarium;

import java.util.ArrayList;
import java.util.List;
import org.sallowbrook.core.measure.InvalidInput;
import org.sallowbrook.server.platform.ReadIn;
import org.springframework.stereotype.Component;

/** A card that comes in an archive adds, and weakens nothing, like one that is written here. */
@Component
class HerbariumReadIn implements ReadIn {

    private final OwnCards cards;
    private final OwnCardService service;

    HerbariumReadIn(OwnCards cards, OwnCardService service) {
        this.cards = cards;
        this.service = service;
    }

    @Override
    public List<String> wrong() {
        List<String> wrong = new ArrayList<>();
        for (OwnCard card : cards.findAllByOrderByTaxonId()) {
            try {
                if (!service.check(card.yaml).id().equals(card.taxonId)) {
                    wrong.add("the card of " + card.taxonId + " is of another plant");
                }
            } catch (InvalidInput e) {
                wrong.add("the card of " + card.taxonId + ": "
                        + e.violations().get(0).field() + " "
                        + e.violations().get(0).message());
            }
        }
        return wrong;
    }
}
