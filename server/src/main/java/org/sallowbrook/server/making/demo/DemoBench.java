package org.sallowbrook.server.making.demo;

import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.making.oil.InfusedOil;
import org.sallowbrook.core.making.salve.Salve;
import org.sallowbrook.core.making.tincture.Tincture;
import org.sallowbrook.server.making.BatchRequest;
import org.sallowbrook.server.making.HerbIn;
import org.sallowbrook.server.making.Making;
import org.sallowbrook.server.making.StockIn;
import org.sallowbrook.server.making.oil.OilBench;
import org.sallowbrook.server.making.salve.SalveBench;
import org.sallowbrook.server.making.tea.TeaBench;
import org.sallowbrook.server.making.tincture.TinctureBench;
import org.sallowbrook.server.platform.Owned;
import org.springframework.context.annotation.Profile;
import org.springframework.stereotype.Component;

/** Starts the demo's batches the way the bench page does, with usual choices. */
@Component
@Profile("demo")
public class DemoBench {

    private final Making making;

    DemoBench(Making making) {
        this.making = making;
    }

    private static HerbIn herb(UUID jar, double massG) {
        return new HerbIn(jar, null, null, null, massG, null);
    }

    private static StockIn stock(UUID lot) {
        return new StockIn(lot, null, null);
    }

    private UUID start(BatchRequest request) {
        return making.start(request).id();
    }

    public UUID tincture(String name, UUID jar, double massG, List<UUID> spirits, LocalDate on) {
        return start(new TinctureBench.Tincturing(
                Owned.newId(),
                name,
                List.of(herb(jar, massG)),
                5.0,
                false,
                Tincture.Basis.MENSTRUUM,
                45.0,
                spirits.stream().map(DemoBench::stock).toList(),
                null,
                TinctureBench.PressSchool.MEDIUM,
                Taxon.Route.INTERNAL,
                on,
                List.of()));
    }

    public UUID oil(String name, UUID jar, double massG, UUID carrier, LocalDate on) {
        return start(new OilBench.Infusing(
                Owned.newId(),
                name,
                List.of(herb(jar, massG)),
                7.0,
                stock(carrier),
                InfusedOil.Method.COLD,
                Taxon.Route.EXTERNAL,
                on,
                List.of()));
    }

    public UUID salve(String name, UUID oil, UUID wax, int tins, LocalDate on) {
        return start(new SalveBench.Salving(
                Owned.newId(),
                name,
                List.of(new SalveBench.OilIn(stock(oil), 1.0)),
                stock(wax),
                null,
                null,
                null,
                null,
                null,
                List.of(new SalveBench.TinIn(30.0, tins)),
                Salve.Firmness.MEDIUM,
                20.0,
                on,
                List.of()));
    }

    public UUID tea(String name, UUID jar, double massG, double wantedMl, LocalDate on) {
        return start(new TeaBench.Brewing(
                Owned.newId(),
                name,
                List.of(new TeaBench.TeaHerb(herb(jar, massG), null, null, null)),
                wantedMl,
                null,
                null,
                Taxon.Route.INTERNAL,
                on,
                List.of()));
    }
}
