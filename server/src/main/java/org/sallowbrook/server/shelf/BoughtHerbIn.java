package org.sallowbrook.server.shelf;

import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import java.util.stream.Stream;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.shelf.BoughtGate;
import org.sallowbrook.server.herbarium.HerbariumService;
import org.sallowbrook.server.platform.ListIn;
import org.sallowbrook.server.platform.Owned;
import org.springframework.stereotype.Component;

/** Dried herb from shops, from a list, under the same gate as one by one. */
@Component
class BoughtHerbIn implements ListIn {

    private final JarService jars;
    private final Lots lots;
    private final HerbariumService herbarium;

    BoughtHerbIn(JarService jars, Lots lots, HerbariumService herbarium) {
        this.jars = jars;
        this.lots = lots;
        this.herbarium = herbarium;
    }

    @Override
    public String name() {
        return "bought-herb";
    }

    @Override
    public String words() {
        return "Dried herb that was bought";
    }

    @Override
    public String hint() {
        return "Herb that you gathered yourselves before is not read in: which plant it came from can't be traced any more.";
    }

    @Override
    public List<Column> columns() {
        return List.of(
                Column.text("taxonId", "Plant", "herb", "scientific name").must(),
                Column.choice("part", "Part", Stream.of(Taxon.Part.values())).must(),
                Column.number("massG", "Amount", "g", "mass", "weight").must(),
                Column.text("supplier", "Where it was bought", "supplier", "shop", "from")
                        .must(),
                Column.choice("label", "What its label says", Stream.of(BoughtGate.Label.values()), "label")
                        .must(),
                Column.of("mouldSeen", "Mould seen", Kind.YES_NO, "mould").must(),
                Column.of("on", "Bought on", Kind.DAY, "bought", "day", "date").must(),
                Column.of("harvestedOn", "Harvested on", Kind.DAY, "harvested"),
                Column.of("bestBefore", "Best before", Kind.DAY),
                Column.text("place", "Place", "where"));
    }

    @Override
    public String same(Line line) {
        return line.alike("taxonId", "part", "massG", "supplier", "on", "harvestedOn");
    }

    @Override
    public boolean here(Line line) {
        Double mass = line.number("massG");
        LocalDate gathered = line.day("harvestedOn") == null ? line.day("on") : line.day("harvestedOn");
        return lots.bought(
                plant(line),
                line.choice("part", Taxon.Part.class, Taxon.Part.LEAF),
                line.textOr("supplier", ""),
                mass == null ? Double.NaN : mass,
                gathered == null ? LocalDate.EPOCH : gathered);
    }

    private String plant(Line line) {
        return herbarium.called("taxonId", line.textOr("taxonId", "")).id();
    }

    @Override
    public Brought take(Line line) {
        Double mass = line.number("massG");
        LocalDate on = line.day("on");
        LotView jar = jars.buy(new JarService.BoughtRequest(
                Owned.newId(),
                plant(line),
                line.choice("part", Taxon.Part.class, Taxon.Part.LEAF),
                mass == null ? Double.NaN : mass,
                line.textOr("supplier", ""),
                line.choice("label", BoughtGate.Label.class, BoughtGate.Label.DOUBTFUL),
                line.yes("mouldSeen"),
                on == null ? LocalDate.MAX : on,
                line.day("harvestedOn"),
                line.day("bestBefore"),
                line.textOr("place", "")));
        return new Brought(jar.id().toString(), jar.name() + " " + jar.code());
    }

    @Override
    public void takeBack(String handle) {
        jars.takeBack(UUID.fromString(handle));
    }
}
