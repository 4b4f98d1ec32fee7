package org.sallowbrook.server.herbarium;

import java.util.Collection;
import java.util.List;
import org.sallowbrook.core.herbarium.Found;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.server.platform.FindSource;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** Plants by any of their names, with slips. */
@Component
@Order(1)
class PlantsFound implements FindSource {

    private final HerbariumService herbarium;

    PlantsFound(HerbariumService herbarium) {
        this.herbarium = herbarium;
    }

    @Override
    public List<Hit> find(String words, int most) {
        return herbarium.herbarium().search(words).stream()
                .limit(most)
                .map(PlantsFound::hit)
                .toList();
    }

    @Override
    public Thing holds() {
        return Thing.PLANT;
    }

    @Override
    public List<Hit> named(Collection<String> ids) {
        return herbarium.herbarium().taxa().stream()
                .filter(t -> ids.contains(t.id()))
                .map(t -> new Hit(Kind.PLANT, t.id(), t.commonName(), t.name(), false))
                .toList();
    }

    private static Hit hit(Found found) {
        Taxon taxon = found.taxon();
        boolean otherName =
                !found.name().equals(taxon.commonName()) && !found.name().equals(taxon.name());
        return new Hit(
                Kind.PLANT,
                taxon.id(),
                taxon.commonName(),
                otherName ? taxon.name() + ", " + found.name() : taxon.name(),
                false);
    }
}
