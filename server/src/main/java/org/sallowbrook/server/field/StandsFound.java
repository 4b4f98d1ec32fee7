package org.sallowbrook.server.field;

import java.util.Collection;
import java.util.List;
import org.sallowbrook.server.platform.FindSource;
import org.sallowbrook.server.platform.Past;
import org.springframework.core.annotation.Order;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Component;

/** Stands by name and place. */
@Component
@Order(2)
class StandsFound implements FindSource {

    private final Stands stands;

    StandsFound(Stands stands) {
        this.stands = stands;
    }

    @Override
    public List<Hit> find(String words, int most) {
        return stands.named(Past.patterns(words), Limit.of(most)).stream()
                .map(StandsFound::hit)
                .toList();
    }

    @Override
    public Thing holds() {
        return Thing.STAND;
    }

    @Override
    public List<Hit> named(Collection<String> ids) {
        return stands.findAllById(FindSource.uuids(ids)).stream()
                .map(StandsFound::hit)
                .toList();
    }

    private static Hit hit(Stand s) {
        return new Hit(Kind.STAND, s.id.toString(), s.name, s.place, s.putAwayOn != null);
    }
}
