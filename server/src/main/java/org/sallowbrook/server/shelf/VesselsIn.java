package org.sallowbrook.server.shelf;

import java.util.List;
import java.util.UUID;
import java.util.stream.Stream;
import org.sallowbrook.core.shelf.VesselKind;
import org.sallowbrook.server.platform.ListIn;
import org.sallowbrook.server.platform.Owned;
import org.sallowbrook.server.platform.Problem;
import org.springframework.stereotype.Component;

/** Empty jars, bottles and tins from a list. */
@Component
class VesselsIn implements ListIn {

    private final VesselService vessels;

    VesselsIn(VesselService vessels) {
        this.vessels = vessels;
    }

    @Override
    public String name() {
        return "vessels";
    }

    @Override
    public String words() {
        return "Vessels";
    }

    @Override
    public List<Column> columns() {
        return List.of(
                Column.choice(
                                "kind",
                                "Kind",
                                Stream.of(VesselKind.values()).filter(VesselService.KEPT::contains),
                                "vessel")
                        .must(),
                Column.number("capacityMl", "Holds", "mL", "capacity", "size", "volume")
                        .must(),
                Column.of("count", "How many", Kind.WHOLE, "count", "number").must(),
                Column.text("note", "Note", "notes", "remarks"));
    }

    @Override
    public String same(Line line) {
        return line.alike("kind", "capacityMl", "note");
    }

    @Override
    public boolean here(Line line) {
        return vessels.all().stream()
                .anyMatch(v -> v.kind() == line.choice("kind", VesselKind.class)
                        && v.capacityMl().equals(line.number("capacityMl"))
                        && v.note().equalsIgnoreCase(line.textOr("note", "")));
    }

    @Override
    public Brought take(Line line) {
        Double capacity = line.number("capacityMl");
        Integer count = line.whole("count");
        VesselService.VesselView vessel = vessels.add(new VesselService.VesselRequest(
                Owned.newId(),
                line.choice("kind", VesselKind.class, VesselKind.JAR),
                capacity == null ? Double.NaN : capacity,
                count == null ? 0 : count,
                line.textOr("note", "")));
        return new Brought(vessel.id().toString(), vessel.count() + " × " + vessel.words());
    }

    @Override
    public void takeBack(String handle) {
        UUID id = UUID.fromString(handle);
        if (vessels.one(id).version() > 0) {
            throw new Problem.Conflict("They were counted anew since.");
        }
        vessels.remove(id);
    }
}
