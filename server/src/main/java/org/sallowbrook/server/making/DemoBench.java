package org.sallowbrook.server.making;

import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.making.oil.InfusedOil;
import org.sallowbrook.core.making.salve.Salve;
import org.sallowbrook.core.making.tincture.Tincture;
import org.sallowbrook.server.platform.Owned;
import org.springframework.context.annotation.Profile;
import org.springframework.stereotype.Component;

/** Starts the demo's batches the way the bench page does, with usual choices. */
@Component
@Profile("demo")
public class DemoBench {

    private final TinctureService tinctures;
    private final WaterOilSalveService others;

    DemoBench(TinctureService tinctures, WaterOilSalveService others) {
        this.tinctures = tinctures;
        this.others = others;
    }

    public UUID tincture(String name, UUID jar, double massG, List<UUID> spirits, LocalDate on) {
        return tinctures
                .start(new TinctureService.TinctureBatchRequest(
                        Owned.newId(),
                        name,
                        List.of(new TinctureService.HerbUse(jar, massG)),
                        5.0,
                        false,
                        Tincture.Basis.MENSTRUUM,
                        45.0,
                        spirits,
                        null,
                        TinctureService.PressSchool.MEDIUM,
                        Taxon.Route.INTERNAL,
                        on,
                        List.of()))
                .id();
    }

    public UUID oil(String name, UUID jar, double massG, UUID carrier, LocalDate on) {
        return others.start(new WaterOilSalveService.OilBatchRequest(
                        Owned.newId(),
                        name,
                        new WaterOilSalveService.HerbUse(jar, massG),
                        7.0,
                        carrier,
                        InfusedOil.Method.COLD,
                        false,
                        on,
                        List.of()))
                .id();
    }

    public UUID salve(String name, UUID oil, UUID wax, int tins, LocalDate on) {
        return others.start(new WaterOilSalveService.SalveBatchRequest(
                        Owned.newId(),
                        name,
                        oil,
                        wax,
                        List.of(new WaterOilSalveService.TinRequest(30.0, tins)),
                        Salve.Firmness.MEDIUM,
                        20.0,
                        on,
                        List.of()))
                .id();
    }

    public UUID tea(String name, UUID jar, double massG, double wantedMl, LocalDate on) {
        return others.start(new WaterOilSalveService.TeaBatchRequest(
                        Owned.newId(),
                        name,
                        new WaterOilSalveService.HerbUse(jar, massG),
                        wantedMl,
                        null,
                        null,
                        null,
                        Taxon.Route.INTERNAL,
                        on,
                        List.of()))
                .id();
    }
}
