package org.sallowbrook.server.field;

import java.util.ArrayList;
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
import tools.jackson.databind.json.JsonMapper;

/** Stands from a list; nothing is certain by it, each plant is looked at where it grows. */
@Component
class StandsIn implements ListIn {

    private final StandService stands;
    private final Stands known;
    private final HerbariumService herbarium;
    private final JsonMapper json;

    StandsIn(StandService stands, Stands known, HerbariumService herbarium, JsonMapper json) {
        this.json = json;
        this.stands = stands;
        this.known = known;
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
                + " and how much there is counts as fair. The points of a map come too: GPX, KML or GeoJSON.";
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

    /** The points of a map: what has no name is called by its plant, and what no folder says lies on the map. */
    @Override
    public @Nullable List<List<String>> table(String text) {
        if (!text.startsWith("<") && !text.startsWith("{")) {
            return null;
        }
        List<List<String>> table = new ArrayList<>();
        table.add(List.of("Name", "Place", "Plant", "Latitude", "Longitude", "Above the sea"));
        for (MapFile.Place p : MapFile.read(text, json).places()) {
            String plant = p.plant();
            boolean known = !plant.isEmpty()
                    && herbarium.herbarium().search(plant).stream()
                            .anyMatch(f -> f.name().equalsIgnoreCase(plant));
            table.add(List.of(
                    p.name().isEmpty() ? plant : p.name(),
                    p.place().isEmpty() ? "on the map" : p.place(),
                    known ? plant : "",
                    String.valueOf(p.latitude()),
                    String.valueOf(p.longitude()),
                    p.elevationM() == null ? "" : String.valueOf(p.elevationM())));
        }
        return table;
    }

    @Override
    public String same(Line line) {
        return line.alike("name", "place");
    }

    @Override
    public boolean here(Line line) {
        return known.existsByNameIgnoreCaseAndPlaceIgnoreCaseAndPutAwayOnIsNull(
                line.textOr("name", ""), line.textOr("place", ""));
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
