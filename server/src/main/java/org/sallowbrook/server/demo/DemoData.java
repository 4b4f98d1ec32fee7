package org.sallowbrook.server.demo;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.sallowbrook.core.dosing.Course;
import org.sallowbrook.core.dosing.DosingGate;
import org.sallowbrook.core.drying.Drying;
import org.sallowbrook.core.field.Site;
import org.sallowbrook.core.herbarium.Frequency;
import org.sallowbrook.core.herbarium.LifeStage;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.household.MedicineClass;
import org.sallowbrook.server.dosing.DosingService;
import org.sallowbrook.server.drying.DryingService;
import org.sallowbrook.server.field.FieldService;
import org.sallowbrook.server.field.TagService;
import org.sallowbrook.server.herbarium.HerbariumService;
import org.sallowbrook.server.household.PeopleService;
import org.sallowbrook.server.household.SignIn;
import org.sallowbrook.server.making.BatchService;
import org.sallowbrook.server.making.DemoBench;
import org.sallowbrook.server.platform.Member;
import org.sallowbrook.server.platform.Owned;
import org.sallowbrook.server.platform.Range;
import org.sallowbrook.server.shelf.JarService;
import org.sallowbrook.server.shelf.LotKind;
import org.sallowbrook.server.shelf.ShelfService;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.context.annotation.Profile;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.stereotype.Component;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Lays the invented household on Merrow, relative to today, through the services a user would use: every gate applies to
 * the demo too.
 */
@Component
@Profile("demo")
class DemoData implements ApplicationRunner {

    private static final Logger LOG = LoggerFactory.getLogger(DemoData.class);
    private static final String PASSWORD = "merrow-demo";
    private static final String REGION = "merrow";

    private final SignIn signIn;
    private final PeopleService people;
    private final HerbariumService herbarium;
    private final FieldService field;
    private final TagService tags;
    private final DryingService drying;
    private final ShelfService shelf;
    private final JarService jars;
    private final DemoBench bench;
    private final BatchService batches;
    private final DosingService dosing;
    private final TransactionTemplate transaction;
    private final Clock clock;

    DemoData(
            SignIn signIn,
            PeopleService people,
            HerbariumService herbarium,
            FieldService field,
            TagService tags,
            DryingService drying,
            ShelfService shelf,
            JarService jars,
            DemoBench bench,
            BatchService batches,
            DosingService dosing,
            PlatformTransactionManager transactions,
            Clock clock) {
        this.signIn = signIn;
        this.people = people;
        this.herbarium = herbarium;
        this.field = field;
        this.tags = tags;
        this.drying = drying;
        this.shelf = shelf;
        this.jars = jars;
        this.bench = bench;
        this.batches = batches;
        this.dosing = dosing;
        this.transaction = new TransactionTemplate(transactions);
        this.clock = clock;
    }

    @Override
    public void run(ApplicationArguments arguments) {
        if (!signIn.empty()) {
            return;
        }
        Member ilse = signIn.create(
                new SignIn.SetupRequest("Sallowbrook House", "Etc/UTC", "Ilse Varga-Holm", "ilse", PASSWORD),
                Member.Role.KEEPER);
        signIn.join(ilse.householdId(), "Tam Holm", "tam", PASSWORD, Member.Role.HELPER);
        signIn.join(ilse.householdId(), "Corwen Holm", "corwen", PASSWORD, Member.Role.READER);
        as(ilse, this::sallowbrookHouse);
        Member lantern = signIn.create(
                new SignIn.SetupRequest("Lantern Cottage", "Etc/UTC", "Keeper of Lantern Cottage", "lantern", PASSWORD),
                Member.Role.KEEPER);
        as(lantern, () -> stand("small-leaved-lime", "Lantern Cottage lime", "Lantern Cottage", Site.Ground.CLEAN));
        LOG.info("demo household laid");
    }

    /** All or nothing: a start that was interrupted lays it again. */
    private void as(Member member, Runnable work) {
        SecurityContextHolder.getContext()
                .setAuthentication(new UsernamePasswordAuthenticationToken(member, null, List.of()));
        try {
            transaction.executeWithoutResult(status -> work.run());
        } finally {
            SecurityContextHolder.clearContext();
        }
    }

    private LocalDate day(int before) {
        return people.today().minusDays(before);
    }

    private Instant hoursAgo(double hours) {
        return clock.instant().minus(Duration.ofMinutes(Math.round(hours * 60)));
    }

    private void sallowbrookHouse() {
        UUID ilse = person("Ilse Varga-Holm", 58, 72.0, 168.0, null, List.of(), false);
        person("Tam Holm", 34, 81.0, 184.0, null, List.of(), false);
        person("Wren", 9, 31.0, 136.0, null, List.of(), false);
        person(
                "Corwen Holm",
                81,
                76.0,
                174.0,
                null,
                List.of(MedicineClass.ANTICOAGULANT, MedicineClass.SEDATIVE),
                false);
        person("Oda Brandt", 29, 66.0, 170.0, 2, List.of(), true);

        ShelfService.LotView grain = supply(LotKind.SPIRIT, "grain spirit 96 %", 1500, 96.0, true, null);
        ShelfService.LotView table = supply(LotKind.SPIRIT, "table spirit 40 %", 700, 40.0, false, null);
        ShelfService.LotView olive = supply(
                LotKind.OIL, "olive oil", 2000, null, true, people.today().plusMonths(8));
        ShelfService.LotView wax = supply(LotKind.WAX, "beeswax", 250, null, true, null);
        List<UUID> spirits = List.of(grain.id(), table.id());

        UUID fen = stand("meadowsweet", "Meadowsweet, north ditch", "Kettle Fen", Site.Ground.CLEAN);
        stand("meadowsweet", "Meadowsweet, willow side", "Kettle Fen", Site.Ground.CLEAN);
        UUID comfrey = stand("common-comfrey", "Comfrey by the footbridge", "Kettle Fen", Site.Ground.CLEAN);
        UUID nettles = stand("stinging-nettle", "Nettles behind the hedge", "Signal Lane", Site.Ground.CLEAN);
        UUID marigolds = stand("pot-marigold", "Marigold bed", "Station Garden", Site.Ground.CLEAN);
        UUID limes = stand("small-leaved-lime", "The three limes", "Abbot's Copse", Site.Ground.CLEAN);
        stand("perforate-st-johns-wort", "St John's-wort on the verge", "Tarry Quarry", Site.Ground.CONTAMINATED);

        ramsonsWithLilies();
        taggedValerian();
        stand("giant-hogweed", "Hogweed on the way to the fen: keep off", "Kettle Fen", Site.Ground.UNKNOWN);

        identify(limes, "small-leaved-lime", LifeStage.FLOWERING, 405);
        identify(nettles, "stinging-nettle", LifeStage.LEAFY, 200);
        identify(fen, "meadowsweet", LifeStage.FLOWERING, 126);
        identify(marigolds, "pot-marigold", LifeStage.FLOWERING, 125);
        field.identify(
                comfrey,
                new FieldService.IdentificationRequest(
                        Owned.newId(),
                        day(20),
                        LifeStage.ROSETTE,
                        REGION,
                        null,
                        List.of(
                                new FieldService.ObservationView("leaf-division", "simple"),
                                new FieldService.ObservationView("leaf-outline", "lance"),
                                new FieldService.ObservationView("leaf-hairs", "soft"),
                                new FieldService.ObservationView("leaf-margin", "entire")),
                        null,
                        null));

        jarred(limes, Taxon.Part.FLOWER, LifeStage.FLOWERING, 403, 300, 0.05, 0.75, "dry and still");
        UUID nettleJar = jarred(nettles, Taxon.Part.LEAF, LifeStage.LEAFY, 170, 520, 0.10, 0.78, "dry after a shower");
        UUID limeJar = jarred(limes, Taxon.Part.FLOWER, LifeStage.FLOWERING, 140, 260, 0.06, 0.75, "dry, light wind");
        UUID meadowsweetJar = jarred(fen, Taxon.Part.TOPS, LifeStage.FLOWERING, 120, 900, 0.07, 0.74, "dry, windy");
        UUID marigoldJar =
                jarred(marigolds, Taxon.Part.FLOWER_HEAD, LifeStage.FLOWERING, 110, 620, 0.30, 0.82, "sunny");

        // A tincture long finished, in bottles; one due to press today; one on its ninth day.
        UUID done = bench.tincture("Meadowsweet tincture", meadowsweetJar, 60, spirits, day(60));
        press(done, day(32), 225);
        List<ShelfService.LotView> bottles = fill(done, day(31), 50, 3);
        bench.tincture("Meadowsweet tincture, second", meadowsweetJar, 40, spirits, day(28));
        UUID shaking = bench.tincture("Meadowsweet tincture, third", meadowsweetJar, 50, spirits, day(9));
        for (int before = 8; before >= 1; before--) {
            batches.shake(shaking, new BatchService.ShakeRequest(Owned.newId(), day(before)));
        }

        UUID oil = bench.oil("Marigold oil", marigoldJar, 50, olive.id(), day(70));
        press(oil, day(35), 260);
        List<ShelfService.LotView> oils = fill(oil, day(35), 250, 1);
        UUID salve = bench.salve("Marigold salve", oils.get(0).id(), wax.id(), 4, day(30));
        List<ShelfService.LotView> tins = fill(salve, day(30), 30, 4);
        ShelfService.LotView given = shelf.lot(tins.get(0).id());
        shelf.give(given.id(), "Oda Brandt", String.valueOf(given.version()));

        bench.tea("Nettle tea", nettleJar, 3, 250, day(0));
        shelf.lot(limeJar);

        dosing.trial(
                new DosingService.TrialRequest(Owned.newId(), ilse, "meadowsweet", day(12), "nothing noticed", true));
        course(ilse, bottles.get(0).id());

        running(fen);
        stalled(marigolds);
        harvest(nettles, Taxon.Part.LEAF, LifeStage.LEAFY, 1, 340, 0.08, "grey, dry");
    }

    private UUID person(
            String name,
            int age,
            Double weight,
            Double height,
            @org.jspecify.annotations.Nullable Integer trimester,
            List<MedicineClass> medicines,
            boolean recipient) {
        UUID id = Owned.newId();
        people.add(new PeopleService.PersonRequest(
                id,
                name,
                people.today().minusYears(age).minusDays(100),
                weight,
                height,
                trimester,
                false,
                List.of(),
                medicines,
                List.of(),
                null,
                recipient));
        return id;
    }

    private ShelfService.LotView supply(
            LotKind kind,
            String name,
            double amount,
            @org.jspecify.annotations.Nullable Double strength,
            boolean open,
            @org.jspecify.annotations.Nullable LocalDate bestBefore) {
        return shelf.add(new ShelfService.SupplyRequest(
                Owned.newId(), kind, name, amount, strength, false, open, bestBefore, "still-room shelf"));
    }

    /** Lily-of-the-valley grows through it: handfuls are refused, singly examined leaves are not. */
    private void ramsonsWithLilies() {
        UUID id = Owned.newId();
        field.add(new FieldService.StandRequest(
                id,
                "ramsons",
                "Ramsons in the hollow",
                "Abbot's Copse",
                Site.Ground.CLEAN,
                Site.Permission.GIVEN,
                Site.Plenty.PLENTIFUL,
                false,
                "lily-of-the-valley"));
        identify(id, "ramsons", LifeStage.FLOWERING, 195);
    }

    /** Told in flower, to be dug when it has died back and can't be told. */
    private void taggedValerian() {
        UUID id = stand("common-valerian", "Valerian along the ditch", "Kettle Fen", Site.Ground.CLEAN);
        identify(id, "common-valerian", LifeStage.FLOWERING, 140);
        tags.tag(id, new TagService.TagRequest(Owned.newId(), "blue 3", "third post from the sluice", 55.012, 2.508));
    }

    private UUID stand(String taxon, String name, String place, Site.Ground ground) {
        UUID id = Owned.newId();
        field.add(new FieldService.StandRequest(
                id, taxon, name, place, ground, Site.Permission.GIVEN, Site.Plenty.PLENTIFUL, false, null));
        return id;
    }

    /** Observes what the card says is most often shown, leaving out what would need digging. */
    private void identify(UUID stand, String taxonId, LifeStage stage, int before) {
        Taxon taxon = herbarium.taxon(taxonId);
        List<FieldService.ObservationView> seen = new ArrayList<>();
        for (Taxon.Shown shown : taxon.characters()) {
            var definition = herbarium.herbarium().character(shown.character());
            if (definition != null && definition.cost() < 3 && shown.stages().contains(stage)) {
                String state = shown.states().entrySet().stream()
                        .max(Comparator.comparingDouble(
                                (Map.Entry<String, Frequency> e) -> e.getValue().share()))
                        .orElseThrow()
                        .getKey();
                seen.add(new FieldService.ObservationView(shown.character(), state));
            }
        }
        field.identify(
                stand,
                new FieldService.IdentificationRequest(
                        Owned.newId(), day(before), stage, REGION, null, seen, "Tam Holm", "field guide, page noted"));
    }

    private UUID harvest(
            UUID stand, Taxon.Part part, LifeStage stage, int before, double massG, double share, String weather) {
        UUID id = Owned.newId();
        field.harvest(
                stand,
                new FieldService.HarvestRequest(
                        id,
                        part,
                        stage,
                        day(before),
                        massG,
                        share,
                        weather,
                        List.of("leaf-division", "leaf-margin", "stem-surface"),
                        false,
                        null,
                        List.of()));
        return id;
    }

    /** Harvested, dried in dry air and put into a jar five days later. */
    private UUID jarred(
            UUID stand,
            Taxon.Part part,
            LifeStage stage,
            int before,
            double massG,
            double share,
            double moisture,
            String weather) {
        UUID harvest = harvest(stand, part, stage, before, massG, share, weather);
        UUID run = Owned.newId();
        Instant start = hoursAgo(before * 24.0 - 2);
        drying.start(new DryingService.StartRequest(
                run, harvest, "Attic screen 1", start, massG, new Range(moisture - 0.02, moisture + 0.02), 34.0, 0.30));
        double dry = massG * (1 - moisture);
        double end = dry / (1 - 0.07);
        for (double hours : new double[] {10, 24, 48, 72, 90}) {
            double mass = end + (massG - end) * Math.exp(-0.09 * hours);
            drying.weigh(
                    run,
                    new DryingService.WeighingRequest(
                            Owned.newId(),
                            start.plus(Duration.ofMinutes(Math.round(hours * 60))),
                            (double) Math.round(mass),
                            org.sallowbrook.server.drying.WeighingSource.HAND));
        }
        DryingService.RunView view = drying.one(run);
        drying.condition(
                run,
                new DryingService.ConditionRequest(
                        34.0, 0.30, Drying.PhysicalTest.CRUMBLES, true, start.plus(Duration.ofHours(91))),
                String.valueOf(view.version()));
        UUID jar = Owned.newId();
        List<DryingService.WeighingView> weighings = drying.one(run).weighings();
        jars.jar(new JarService.JarRequest(
                jar, run, day(before - 4), weighings.get(weighings.size() - 1).massG(), "still-room, dark cupboard"));
        return jar;
    }

    private void press(UUID batch, LocalDate on, double amount) {
        BatchService.BatchView view = batches.one(batch);
        batches.press(batch, new BatchService.PressRequest(amount, on), String.valueOf(view.version()));
    }

    private List<ShelfService.LotView> fill(UUID batch, LocalDate on, double capacityMl, int count) {
        BatchService.BatchView view = batches.one(batch);
        return batches.fill(
                batch,
                new BatchService.FillRequest(
                        List.of(new BatchService.ContainerRequest(capacityMl, count)), on, "still-room, dark cupboard"),
                String.valueOf(view.version()));
    }

    private void course(UUID person, UUID bottle) {
        UUID id = Owned.newId();
        dosing.add(new DosingService.CourseRequest(
                id,
                person,
                bottle,
                "minor joint pain",
                DosingGate.Way.MOUTH,
                3.0,
                3,
                new DosingService.PatternRequest(Course.Kind.CYCLE, 5, 2, null, null, null, null),
                new DosingService.RampRequest(0.5, 3),
                null,
                21,
                new DosingService.TimingRequest(DosingService.Relation.AFTER_MEAL, 15, null),
                day(3),
                null,
                List.of()));
        for (int before = 3; before >= 1; before--) {
            for (int slot = 1; slot <= (before == 2 ? 2 : 3); slot++) {
                dosing.take(id, new DosingService.DoseRequest(Owned.newId(), day(before), slot, null));
            }
        }
    }

    /** Five weighings, the next one due. */
    private void running(UUID stand) {
        UUID harvest = harvest(stand, Taxon.Part.TOPS, LifeStage.FLOWERING, 2, 500, 0.05, "cold, dry");
        UUID run = Owned.newId();
        drying.start(new DryingService.StartRequest(
                run, harvest, "Attic screen 2", hoursAgo(46), 500.0, new Range(0.70, 0.76), 26.0, 0.45));
        double[] hours = {6, 12, 20, 26, 32};
        double[] grams = {402, 331, 268, 236, 212};
        for (int i = 0; i < hours.length; i++) {
            drying.weigh(
                    run,
                    new DryingService.WeighingRequest(
                            Owned.newId(),
                            hoursAgo(46 - hours[i]),
                            grams[i],
                            org.sallowbrook.server.drying.WeighingSource.SCALE));
        }
    }

    /** Hung in a humid scullery, it stopped losing weight long before it was dry. */
    private void stalled(UUID stand) {
        UUID harvest = harvest(stand, Taxon.Part.FLOWER_HEAD, LifeStage.FLOWERING, 5, 300, 0.10, "mist");
        UUID run = Owned.newId();
        drying.start(new DryingService.StartRequest(
                run, harvest, "Scullery line", hoursAgo(110), 300.0, new Range(0.78, 0.84), 16.0, 0.84));
        double[] hours = {24, 48, 72, 98};
        double[] grams = {158, 98, 78, 77};
        for (int i = 0; i < hours.length; i++) {
            drying.weigh(
                    run,
                    new DryingService.WeighingRequest(
                            Owned.newId(),
                            hoursAgo(110 - hours[i]),
                            grams[i],
                            org.sallowbrook.server.drying.WeighingSource.HAND));
        }
    }
}
