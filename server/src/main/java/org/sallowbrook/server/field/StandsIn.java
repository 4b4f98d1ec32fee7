package org.sallowbrook.server.field;

import java.util.List;
import java.util.UUID;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.field.Site;
import org.sallowbrook.server.herbarium.HerbariumService;
import org.sallowbrook.server.platform.ListIn;
import org.sallowbrook.server.platform.Owned;
import org.sallowbrook.server.platform.Problem;
import org.springframework.stereotype.Component;

/** Stands from a list; nothing is certain by it, each plant is looked at where it grows. */
@Component
class StandsIn implements ListIn {

    private final StandService stands;
    private final HerbariumService herbarium;

    StandsIn(StandService stands, HerbariumService herbarium) {
        this.stands = stands;
        this.herbarium = herbarium;
    }

    @Override
    public String name() {
        return "stands";
    }

    @Override
    public String words() {
        return "Stands";
    }

    @Override
    public String hint() {
        return "What it is stays to be looked at where it grows. Ground and permission that are not said stay unknown,"
                + " and how much there is counts as fair.";
    }

    @Override
    public List<Column> columns() {
        return List.of(
                Column.text("name", "Name", "stand").must(),
                Column.text("place", "Place", "where", "location").must(),
                Column.text("taxonId", "Plant", "species", "scientific name"),
                Column.choice("ground", "Ground", Stream.of(Site.Ground.values())),
                Column.choice("permission", "Permission", Stream.of(Site.Permission.values())),
                Column.choice("plenty", "Plenty", Stream.of(Site.Plenty.values()), "how much"),
                Column.of("protectedSpecies", "Protected", Kind.YES_NO),
                Column.text("neighbour", "Grows next to it", "neighbour"),
                Column.number("latitude", "Latitude", "°", "lat"),
                Column.number("longitude", "Longitude", "°", "lon", "long"),
                Column.number("elevationM", "Above the sea", "m", "elevation", "height", "altitude"),
                Column.of("growingSince", "Growing since", Kind.WHOLE, "year"));
    }

    @Override
    public String same(Line line) {
        return line.alike("name", "place");
    }

    @Override
    public boolean here(Line line) {
        return stands.stands().stream()
                .anyMatch(s -> s.name().equalsIgnoreCase(line.text("name"))
                        && s.place().equalsIgnoreCase(line.text("place")));
    }

    @Override
    public Brought take(Line line) {
        StandService.StandView stand = stands.add(new StandService.StandRequest(
                Owned.newId(),
                plant(line),
                line.textOr("name", ""),
                line.textOr("place", ""),
                line.choice("ground", Site.Ground.class, Site.Ground.UNKNOWN),
                line.choice("permission", Site.Permission.class, Site.Permission.UNKNOWN),
                line.choice("plenty", Site.Plenty.class, Site.Plenty.FAIR),
                line.yes("protectedSpecies"),
                line.text("neighbour"),
                line.number("latitude"),
                line.number("longitude"),
                line.number("elevationM"),
                line.whole("growingSince"),
                null,
                null));
        return new Brought(stand.id().toString(), stand.name() + ", " + stand.place());
    }

    private @Nullable String plant(Line line) {
        String called = line.text("taxonId");
        return called == null ? null : herbarium.called("taxonId", called).id();
    }

    @Override
    public void takeBack(String handle) {
        UUID id = UUID.fromString(handle);
        if (stands.stand(id).version() > 0) {
            throw new Problem.Conflict("It was changed since.");
        }
        stands.remove(id, "0");
    }
}
