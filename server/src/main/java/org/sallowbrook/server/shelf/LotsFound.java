package org.sallowbrook.server.shelf;

import java.util.Collection;
import java.util.List;
import org.sallowbrook.core.shelf.Stage;
import org.sallowbrook.server.platform.FindSource;
import org.sallowbrook.server.platform.Past;
import org.springframework.core.annotation.Order;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Component;

/** Lots by name, code, place and shop: baskets, jars, what is in the making, bottles and tins. */
@Component
@Order(3)
class LotsFound implements FindSource {

    private final Lots lots;

    LotsFound(Lots lots) {
        this.lots = lots;
    }

    @Override
    public List<Hit> find(String words, int most) {
        // A stand is found where it grows.
        return lots.named(Stage.STAND, Past.patterns(words), Limit.of(most)).stream()
                .map(LotsFound::hit)
                .toList();
    }

    @Override
    public Thing holds() {
        return Thing.LOT;
    }

    @Override
    public List<Hit> named(Collection<String> ids) {
        return lots.findAllById(FindSource.uuids(ids)).stream()
                .filter(l -> l.stage != Stage.STAND)
                .map(LotsFound::hit)
                .toList();
    }

    private static Hit hit(Lot l) {
        return new Hit(
                Kind.valueOf(l.stage.name()),
                l.id.toString(),
                l.name,
                l.place.isBlank() ? l.code : l.code + ", " + l.place,
                l.remaining <= 0);
    }
}
