package org.sallowbrook.server.herbarium;

import java.util.ArrayList;
import java.util.List;
import org.sallowbrook.core.measure.InvalidInput;
import org.sallowbrook.server.platform.ReadIn;
import org.springframework.stereotype.Component;

/** Every plant that is named has a card; and a card that comes in an archive adds, and weakens nothing, like one that is written here. */
@Component
class HerbariumReadIn implements ReadIn {

    private final HerbariumService herbarium;
    private final OwnCards cards;
    private final OwnCardService service;

    HerbariumReadIn(HerbariumService herbarium, OwnCards cards, OwnCardService service) {
        this.herbarium = herbarium;
        this.cards = cards;
        this.service = service;
    }

    @Override
    public List<String> wrong(Came came) {
        List<String> wrong = new ArrayList<>();
        came.plants().stream()
                .filter(plant -> herbarium.herbarium().taxon(plant).isEmpty())
                .forEach(plant -> wrong.add("a plant that has no card here: " + plant));
        for (OwnCard card : cards.findAllById(came.of("own_card"))) {
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
