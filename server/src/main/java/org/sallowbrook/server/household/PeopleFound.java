package org.sallowbrook.server.household;

import java.util.Collection;
import java.util.List;
import java.util.Locale;
import org.sallowbrook.server.platform.FindSource;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** People of the house by name. */
@Component
@Order(4)
class PeopleFound implements FindSource {

    private final People people;

    PeopleFound(People people) {
        this.people = people;
    }

    @Override
    public List<Hit> find(String words, int most) {
        String wanted = words.toLowerCase(Locale.ROOT);
        return people.findAllByOrderByBornOn().stream()
                .filter(p -> p.name.toLowerCase(Locale.ROOT).contains(wanted))
                .limit(most)
                .map(PeopleFound::hit)
                .toList();
    }

    @Override
    public Thing holds() {
        return Thing.PERSON;
    }

    @Override
    public List<Hit> named(Collection<String> ids) {
        return people.findAllById(FindSource.uuids(ids)).stream()
                .map(PeopleFound::hit)
                .toList();
    }

    private static Hit hit(PersonEntity p) {
        return new Hit(Kind.PERSON, p.id.toString(), p.name, "", false);
    }
}
