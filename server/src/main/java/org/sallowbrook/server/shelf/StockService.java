package org.sallowbrook.server.shelf;

import java.time.LocalDate;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.drying.FreshMoisture;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.measure.Amount;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.Moisture;
import org.sallowbrook.core.measure.Unit;
import org.sallowbrook.core.shelf.LotForm;
import org.sallowbrook.core.shelf.PoisonWords;
import org.sallowbrook.core.shelf.Stage;
import org.sallowbrook.core.shelf.Trait;
import org.sallowbrook.core.shelf.VesselKind;
import org.sallowbrook.server.field.HarvestRecorded;
import org.sallowbrook.server.field.HarvestStruck;
import org.sallowbrook.server.herbarium.HerbariumService;
import org.sallowbrook.server.household.PeopleService;
import org.sallowbrook.server.platform.Once;
import org.sallowbrook.server.platform.Problem;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What comes into the house: from the field, and what is bought to make something with. */
@Service
@Transactional
public class StockService {

    /** @param strengthPercent of a spirit or wine, the acidity of a vinegar; only there */
    public record SupplyRequest(
            UUID id,
            LotForm form,
            String name,
            Double amount,
            @Nullable Double strengthPercent,
            Boolean denatured,
            Boolean open,
            @Nullable LocalDate bestBefore,
            String place) {}

    private final Lots lots;
    private final LotReader reader;
    private final Ledger ledger;
    private final HerbariumService herbarium;
    private final PeopleService people;
    private final Once once;

    StockService(
            Lots lots, LotReader reader, Ledger ledger, HerbariumService herbarium, PeopleService people, Once once) {
        this.lots = lots;
        this.reader = reader;
        this.ledger = ledger;
        this.herbarium = herbarium;
        this.people = people;
        this.once = once;
    }

    @EventListener
    void on(HarvestRecorded harvest) {
        if (!lots.existsById(harvest.standId())) {
            Lot stand = new Lot(harvest.standId());
            stand.stage = Stage.STAND;
            stand.form = LotForm.PLANT;
            stand.vessel = VesselKind.GROUND;
            // The end of the id: its beginning is the time and the same for stands entered together.
            stand.code = "S" + harvest.standId().toString().substring(28);
            stand.name = harvest.standName();
            stand.taxonId = harvest.taxonId();
            stand.madeOn = harvest.on();
            lots.save(stand);
        }
        Taxon taxon = herbarium.taxon(harvest.taxonId());
        Lot lot = new Lot(harvest.harvestId());
        lot.stage = Stage.HARVEST;
        lot.form = LotForm.HERB;
        lot.vessel = VesselKind.BASKET;
        lot.code = harvest.code();
        lot.name = taxon.commonName() + ", fresh";
        lot.taxonId = harvest.taxonId();
        lot.part = harvest.part();
        lot.amount = harvest.massG();
        lot.madeOn = harvest.on();
        lot.herbs.add(new LotHerb(taxon.id(), harvest.part(), driedG(taxon, harvest)));
        lot.of(taxon, harvest.part());
        lots.save(lot);
        ledger.change(lot, LotChange.What.PUT, harvest.massG(), null, harvest.on());
        ledger.link(harvest.standId(), lot.id, Amount.of(harvest.massG(), Unit.G));
        lots.flush();
    }

    @EventListener
    void on(HarvestStruck struck) {
        Lot lot = reader.find(struck.harvestId());
        if (lot.racked || lot.remaining < lot.amount - 1e-9) {
            throw new Problem.Conflict(
                    lot.name + " (" + lot.code + ") lies on the rack or was used; strike that out first.");
        }
        ledger.struck(lot, struck.reason());
    }

    /** What it will weigh dried, at the middle of what its part holds fresh. */
    private static double driedG(Taxon taxon, HarvestRecorded harvest) {
        double water = FreshMoisture.of(taxon, harvest.part()).mid();
        return Moisture.asDried(harvest.massG(), water);
    }

    public LotView add(SupplyRequest request) {
        if (once.repeated("supply", request.id(), lots::existsById, request)) {
            return reader.view(reader.find(request.id()));
        }
        LotForm form = request.form();
        Double strength = request.strengthPercent();
        Interval percent = form.percent();
        String badName =
                PoisonWords.wrong(form, request.name(), request.denatured()).orElse(null);
        Checks checks = Checks.begin()
                .that(form.supply(), "form", "must be something bought, such as SPIRIT, CARRIER_OIL or WAX")
                .that(!request.name().isBlank() && request.name().length() <= 120, "name", "must have 1 to 120 letters")
                .that(badName == null, "name", String.valueOf(badName))
                .range("amount", request.amount(), 0.1, 1_000_000)
                .that(request.place().length() <= 120, "place", "must have at most 120 letters")
                .that(
                        (percent != null) == (strength != null),
                        "strengthPercent",
                        "is needed for spirit, wine, vinegar and glycerine, and only there")
                .that(form == LotForm.SPIRIT || !request.denatured(), "denatured", "is said of a spirit only");
        if (strength != null && percent != null) {
            checks.range("strengthPercent", strength, percent.low(), percent.high());
        }
        checks.done();
        LocalDate today = people.today();
        Lot lot = new Lot(request.id());
        lot.stage = Stage.STOCK;
        lot.form = form;
        lot.vessel = form.vessel();
        lot.code = ledger.code("P", today);
        lot.name = request.name().strip();
        lot.unit = form.unit().symbol();
        lot.amount = request.amount();
        lot.strengthPercent = strength;
        if (form == LotForm.HONEY) {
            lot.traits.add(Trait.HONEY);
        }
        if (request.denatured()) {
            lot.traits.add(Trait.DENATURED);
        }
        lot.route = request.denatured() ? Taxon.Route.EXTERNAL : Taxon.Route.INTERNAL;
        lot.madeOn = today;
        lot.openedOn = request.open() ? today : null;
        lot.bestBefore = request.bestBefore();
        lot.place = request.place().strip();
        lots.save(lot);
        ledger.change(lot, LotChange.What.PUT, request.amount(), null, today);
        return reader.view(lots.saveAndFlush(lot));
    }
}
