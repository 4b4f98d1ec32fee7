package org.sallowbrook.server.demo;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.dosing.Dose;
import org.sallowbrook.core.dosing.DosingGate;
import org.sallowbrook.core.drying.Drying;
import org.sallowbrook.core.drying.Way;
import org.sallowbrook.core.field.Contacts;
import org.sallowbrook.core.field.Outline;
import org.sallowbrook.core.field.Site;
import org.sallowbrook.core.field.season.Place;
import org.sallowbrook.core.herbarium.Danger;
import org.sallowbrook.core.herbarium.Frequency;
import org.sallowbrook.core.herbarium.LifeStage;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.household.MedicineClass;
import org.sallowbrook.core.making.oil.Water;
import org.sallowbrook.core.notes.ComeBack;
import org.sallowbrook.core.notes.Note;
import org.sallowbrook.core.planning.Basket;
import org.sallowbrook.core.shelf.BoughtGate;
import org.sallowbrook.core.shelf.LotForm;
import org.sallowbrook.core.shelf.VesselKind;
import org.sallowbrook.server.dosing.CourseRequest;
import org.sallowbrook.server.dosing.CourseService;
import org.sallowbrook.server.dosing.DiaryService;
import org.sallowbrook.server.dosing.DoseService;
import org.sallowbrook.server.dosing.PatternRequest;
import org.sallowbrook.server.dosing.TrialService;
import org.sallowbrook.server.drying.DryingService;
import org.sallowbrook.server.field.ContactService;
import org.sallowbrook.server.field.GroundService;
import org.sallowbrook.server.field.HarvestService;
import org.sallowbrook.server.field.LookService;
import org.sallowbrook.server.field.SeasonService;
import org.sallowbrook.server.field.StandService;
import org.sallowbrook.server.field.TagService;
import org.sallowbrook.server.field.YearsService;
import org.sallowbrook.server.herbarium.HerbariumService;
import org.sallowbrook.server.household.HouseholdService;
import org.sallowbrook.server.household.PeopleService;
import org.sallowbrook.server.household.SignIn;
import org.sallowbrook.server.making.BatchReader;
import org.sallowbrook.server.making.FillingService;
import org.sallowbrook.server.making.PressingService;
import org.sallowbrook.server.making.ShakingService;
import org.sallowbrook.server.making.demo.DemoBench;
import org.sallowbrook.server.notes.NoteService;
import org.sallowbrook.server.planning.WishService;
import org.sallowbrook.server.planning.YearService;
import org.sallowbrook.server.platform.FindSource;
import org.sallowbrook.server.platform.Member;
import org.sallowbrook.server.platform.Owned;
import org.sallowbrook.server.platform.Range;
import org.sallowbrook.server.platform.SimulatedClock;
import org.sallowbrook.server.shelf.JarService;
import org.sallowbrook.server.shelf.LotView;
import org.sallowbrook.server.shelf.ShelfService;
import org.sallowbrook.server.shelf.StockService;
import org.sallowbrook.server.shelf.VesselService;
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
    private final StandService stands;
    private final LookService looks;
    private final HarvestService harvests;
    private final SeasonService seasons;
    private final YearsService years;
    private final ContactService contacts;
    private final GroundService ground;
    private final HouseholdService households;
    private final TagService tags;
    private final DryingService drying;
    private final ShelfService shelf;
    private final StockService stock;
    private final JarService jars;
    private final VesselService vessels;
    private final DemoBench bench;
    private final BatchReader batches;
    private final ShakingService shaking;
    private final PressingService pressing;
    private final FillingService filling;
    private final CourseService courses;
    private final DoseService doses;
    private final TrialService trials;
    private final DiaryService diaries;
    private final NoteService notes;
    private final WishService wishes;
    private final YearService year;
    private final TransactionTemplate transaction;
    private final SimulatedClock clock;

    DemoData(
            SignIn signIn,
            PeopleService people,
            HerbariumService herbarium,
            StandService stands,
            LookService looks,
            HarvestService harvests,
            SeasonService seasons,
            YearsService years,
            ContactService contacts,
            GroundService ground,
            HouseholdService households,
            TagService tags,
            DryingService drying,
            ShelfService shelf,
            StockService stock,
            JarService jars,
            VesselService vessels,
            DemoBench bench,
            BatchReader batches,
            ShakingService shaking,
            PressingService pressing,
            FillingService filling,
            CourseService courses,
            DoseService doses,
            TrialService trials,
            DiaryService diaries,
            NoteService notes,
            WishService wishes,
            YearService year,
            PlatformTransactionManager transactions,
            SimulatedClock clock) {
        this.signIn = signIn;
        this.people = people;
        this.herbarium = herbarium;
        this.stands = stands;
        this.looks = looks;
        this.harvests = harvests;
        this.seasons = seasons;
        this.years = years;
        this.contacts = contacts;
        this.ground = ground;
        this.households = households;
        this.tags = tags;
        this.drying = drying;
        this.shelf = shelf;
        this.stock = stock;
        this.jars = jars;
        this.vessels = vessels;
        this.bench = bench;
        this.batches = batches;
        this.shaking = shaking;
        this.pressing = pressing;
        this.filling = filling;
        this.courses = courses;
        this.doses = doses;
        this.trials = trials;
        this.diaries = diaries;
        this.notes = notes;
        this.wishes = wishes;
        this.year = year;
        this.transaction = new TransactionTemplate(transactions);
        this.clock = clock;
    }

    @Override
    public void run(ApplicationArguments arguments) {
        if (!signIn.empty()) {
            return;
        }
        clock.set(SimulatedClock.START);
        Member ilse = signIn.create(
                new SignIn.SetupRequest("Sallowbrook House", "Etc/UTC", REGION, "Ilse Varga-Holm", "ilse", PASSWORD),
                Member.Role.KEEPER);
        signIn.join(ilse.householdId(), "Tam Holm", "tam", PASSWORD, Member.Role.HELPER);
        signIn.join(ilse.householdId(), "Corwen Holm", "corwen", PASSWORD, Member.Role.READER);
        Member lantern = signIn.create(
                new SignIn.SetupRequest(
                        "Lantern Cottage", "Etc/UTC", REGION, "Keeper of Lantern Cottage", "lantern", PASSWORD),
                Member.Role.KEEPER);
        lay(ilse, lantern);
    }

    /** Lays both households from the beginning; those who are signed in stay so. */
    void lay(Member ilse, Member lantern) {
        try {
            as(ilse, this::sallowbrookHouse);
            as(lantern, () -> stand("small-leaved-lime", "Lantern Cottage lime", "Lantern Cottage", Site.Ground.CLEAN));
        } finally {
            clock.set(SimulatedClock.START);
        }
        LOG.info("demo household laid");
    }

    /** All or nothing: a start that was interrupted lays it again. */
    private void as(Member member, Runnable work) {
        var before = SecurityContextHolder.getContext().getAuthentication();
        SecurityContextHolder.getContext()
                .setAuthentication(new UsernamePasswordAuthenticationToken(member, null, List.of()));
        try {
            transaction.executeWithoutResult(status -> work.run());
        } finally {
            SecurityContextHolder.getContext().setAuthentication(before);
        }
    }

    /** Goes to an hour of a day, counted back from the opening morning; what is recorded then is recorded as of then. */
    private LocalDate go(int daysBefore, double hour) {
        clock.set(SimulatedClock.START
                .truncatedTo(ChronoUnit.DAYS)
                .minus(Duration.ofDays(daysBefore))
                .plus(Duration.ofMinutes(Math.round(hour * 60))));
        return people.today();
    }

    /** In the order in which it happened, from last summer on. */
    private void sallowbrookHouse() {
        go(376, 9);
        UUID ilse = person("Ilse Varga-Holm", 58, 72.0, 168.0, null, List.of(), false);
        UUID tam = person("Tam Holm", 34, 81.0, 184.0, null, List.of(), false);
        person("Wren", 9, 31.0, 135.0, null, List.of(), false);
        person(
                "Corwen Holm",
                81,
                76.0,
                174.0,
                null,
                List.of(MedicineClass.ANTICOAGULANT, MedicineClass.SEDATIVE),
                false);
        UUID oda = person("Oda Brandt", 29, 66.0, 170.0, 2, List.of(), true);
        LotView grain = supply(LotForm.SPIRIT, "grain spirit 96 %", 1500, 96.0, true, null);
        LotView table = supply(LotForm.SPIRIT, "table spirit 40 %", 700, 40.0, false, null);
        LotView lastOlive = supply(
                LotForm.CARRIER_OIL,
                "olive oil, last year's",
                700,
                null,
                true,
                SimulatedClock.START.atZone(ZoneOffset.UTC).toLocalDate().minusDays(14));
        LotView wax = supply(LotForm.WAX, "beeswax", 250, null, true, null);
        List<UUID> spirits = List.of(grain.id(), table.id());
        vessels(VesselKind.JAR, 500, 6, "");
        vessels(VesselKind.JAR, 250, 8, "");
        vessels(VesselKind.BOTTLE, 100, 6, "amber");
        vessels(VesselKind.BOTTLE, 50, 10, "amber, with dropper");
        vessels(VesselKind.TIN, 30, 12, "");
        UUID fen = stand("meadowsweet", "Meadowsweet, north ditch", "Kettle Fen", Site.Ground.CLEAN);
        stand("meadowsweet", "Meadowsweet, willow side", "Kettle Fen", Site.Ground.CLEAN);
        UUID comfrey = stand("common-comfrey", "Comfrey by the footbridge", "Kettle Fen", Site.Ground.CLEAN);
        UUID nettles = stand("stinging-nettle", "Nettles behind the hedge", "Signal Lane", Site.Ground.CLEAN);
        UUID marigolds = stand("pot-marigold", "Marigold bed", "Station Garden", Site.Ground.CLEAN);
        UUID limes = stand("small-leaved-lime", "The three limes", "Abbot's Copse", Site.Ground.CLEAN);
        UUID melilot = stand("ribbed-melilot", "Melilot on the dune", "The Long Dune", Site.Ground.CLEAN);
        stand("perforate-st-johns-wort", "St John's-wort on the verge", "Tarry Quarry", Site.Ground.CONTAMINATED);
        int[] shoots = {118, 126, 121, 129, 124};
        for (int year = 0; year < shoots.length; year++) {
            years.count(
                    fen,
                    new YearsService.PlantCountRequest(
                            Owned.newId(),
                            LocalDate.of(2021 + year, 7, 1),
                            shoots[year],
                            year == 2,
                            false,
                            "flowering stems, from the sluice to the third post"));
        }
        touched(tam, "giant-hogweed", "2024-06-20", Contacts.Reaction.ITCH, "brushed past it at the ditch");
        touched(tam, "giant-hogweed", "2025-06-28", Contacts.Reaction.RASH, "cut it back without sleeves");
        stand("giant-hogweed", "Hogweed on the way to the fen: keep off", "Kettle Fen", Site.Ground.UNKNOWN);

        households.livesAt(new Place(55, 35));
        households.calls(new HouseholdService.WhomToCall("000", "Merrow poison line, 000 111"));
        island();
        first(fen, LifeStage.FLOWERING, "2022-06-21", "2023-06-19", "2024-06-12", "2025-06-20");
        first(limes, LifeStage.FLOWERING, "2023-06-30", "2024-06-24", "2025-07-01");
        first(marigolds, LifeStage.FLOWERING, "2024-06-04", "2025-06-08");
        first(melilot, LifeStage.FLOWERING, "2025-06-17");

        go(374, 10);
        identify(limes, "small-leaved-lime", LifeStage.FLOWERING);
        jarred(limes, Taxon.Part.FLOWER, LifeStage.FLOWERING, 373, 300, 0.05, 0.75, "dry and still");

        go(341, 10);
        identify(fen, "meadowsweet", LifeStage.FLOWERING);
        UUID meadowsweetJar = jarred(fen, Taxon.Part.TOPS, LifeStage.FLOWERING, 339, 900, 0.07, 0.74, "dry, windy");

        go(301, 11);
        identify(marigolds, "pot-marigold", LifeStage.FLOWERING);
        UUID marigoldJar =
                jarred(marigolds, Taxon.Part.FLOWER_HEAD, LifeStage.FLOWERING, 300, 620, 0.30, 0.82, "sunny");
        // Bottled before its oil was past its date, which the bottle has followed.
        UUID oldOil = bench.oil("Marigold oil, last year's", marigoldJar, 15, lastOlive.id(), go(290, 10));
        press(oldOil, go(255, 10), 75, Water.NONE_SEEN);
        fill(oldOil, go(255, 11), 75, 1);

        go(150, 14);
        buy("garden-iris", Taxon.Part.ROOT, 80, "the herb stall at the harbour", BoughtGate.Label.SCIENTIFIC_NAME, 320);
        buy("german-chamomile", Taxon.Part.FLOWER_HEAD, 60, "a neighbour's cupboard", BoughtGate.Label.DOUBTFUL, null);
        LotView olive = supply(
                LotForm.CARRIER_OIL,
                "olive oil",
                2000,
                null,
                true,
                people.today().plusMonths(14));

        go(86, 10);
        identify(nettles, "stinging-nettle", LifeStage.LEAFY);
        UUID nettleJar = jarred(nettles, Taxon.Part.LEAF, LifeStage.LEAFY, 85, 520, 0.10, 0.78, "dry after a shower");

        UUID oil = bench.oil("Marigold oil", marigoldJar, 50, olive.id(), go(70, 10));

        go(68, 15);
        ramsonsWithLilies();

        // A tincture long finished, in bottles; one due to press today; one on its ninth day.
        UUID done = bench.tincture("Meadowsweet tincture", meadowsweetJar, 60, spirits, go(60, 10));
        press(oil, go(35, 10), 260, Water.NONE_SEEN);
        List<LotView> oils = fill(oil, go(35, 11), 80, 3);
        press(done, go(32, 10), 225);
        List<LotView> bottles = fill(done, go(31, 10), 75, 3);
        UUID salve = bench.salve("Marigold salve", oils.get(0).id(), wax.id(), 2, go(30, 10));
        List<LotView> tins = fill(salve, go(30, 12), 30, 2);
        LotView given = shelf.lot(tins.get(0).id());
        shelf.give(given.id(), "Oda Brandt", String.valueOf(given.version()));
        bench.tincture("Meadowsweet tincture, second", meadowsweetJar, 40, spirits, go(28, 10));

        go(24, 10);
        unknownByTheDitch();

        go(20, 10);
        first(fen, LifeStage.FLOWERING, "2026-06-18");
        taggedValerian();
        comfreyRosette(comfrey);

        // Fresh flowers bring their water along; it lies under the oil now.
        go(18, 9);
        UUID fresh = harvest(marigolds, Taxon.Part.FLOWER_HEAD, LifeStage.FLOWERING, 60, 0.05, "dry, after noon");
        UUID freshOil = bench.oil("Marigold oil, fresh flowers", fresh, 50, olive.id(), go(18, 14));

        go(13, 10);
        identify(fen, "meadowsweet", LifeStage.FLOWERING);
        identify(limes, "small-leaved-lime", LifeStage.FLOWERING);
        identify(melilot, "ribbed-melilot", LifeStage.FLOWERING);
        go(12, 9);
        trials.trial(new TrialService.TrialRequest(
                Owned.newId(), ilse, "meadowsweet", DosingGate.Way.MOUTH, people.today(), "nothing noticed", true));
        trials.trial(new TrialService.TrialRequest(
                Owned.newId(),
                oda,
                "pot-marigold",
                DosingGate.Way.SKIN,
                people.today(),
                "nothing noticed, on the forearm",
                true));
        UUID moulding = moulding(melilot);
        UUID shaken = bench.tincture("Meadowsweet tincture, third", meadowsweetJar, 50, spirits, go(9, 10));
        jarred(limes, Taxon.Part.FLOWER, LifeStage.FLOWERING, 8, 260, 0.06, 0.75, "dry, light wind");
        for (int before = 8; before >= 1; before--) {
            LocalDate on = go(before, 8);
            shaking.shake(shaken, new ShakingService.ShakeRequest(Owned.newId(), on));
            if (before == 6) {
                drying.mould(moulding);
            }
            if (before == 5) {
                stalled(marigolds);
            }
            if (before == 4) {
                salveFor(oda, given.id());
            }
            if (before == 3) {
                course(ilse, bottles.get(0).id());
            }
            if (before == 2) {
                press(freshOil, go(2, 8.5), 255, Water.SEEN);
                running(fen);
            }
        }
        go(8, 20);
        wishes();
        go(7, 17);
        written(
                FindSource.Thing.STAND,
                melilot,
                "Half of it grazed since Sunday. See whether it comes again.",
                Note.Seen.NOTHING,
                ComeBack.When.FORTNIGHT);
        go(6, 19);
        notes.write(new NoteService.NoteRequest(
                Owned.newId(),
                null,
                null,
                people.today(),
                "Three more meadowsweet here, behind the sluice; in bud.",
                null,
                "Kettle Fen, the far bank",
                55.0141,
                2.5052,
                new NoteService.ComeBackRequest(ComeBack.When.WEEKEND, null),
                false));
        go(1, 18);
        written(
                FindSource.Thing.LOT,
                shaken,
                "Darker than the second one was by now.",
                new Note.Seen("deep amber", "clear", "almond, strong", "", ""),
                null);
        harvest(nettles, Taxon.Part.LEAF, LifeStage.LEAFY, 340, 0.08, "grey, dry");
        go(0, 7.25);
        bench.tea("Nettle tea", nettleJar, 3, 250, people.today());
    }

    private UUID person(
            String name,
            int age,
            Double weight,
            Double height,
            @Nullable Integer trimester,
            List<MedicineClass> medicines,
            boolean recipient) {
        UUID id = Owned.newId();
        people.add(new PeopleService.PersonRequest(
                id,
                name,
                // So old on the opening morning.
                SimulatedClock.START
                        .atZone(ZoneOffset.UTC)
                        .toLocalDate()
                        .minusYears(age)
                        .minusDays(100),
                weight,
                height,
                trimester,
                false,
                List.of(),
                medicines,
                List.of(),
                List.of(),
                null,
                recipient));
        return id;
    }

    /** What the house wants in hand, the most important first. */
    private void wishes() {
        year.say(new YearService.MeansRequest(1.5, 6.0), null);
        wish(
                "Lime flower tea for two through the cold months",
                Basket.Product.TEA,
                360,
                "2026-10-01",
                "2027-03-31",
                true,
                "small-leaved-lime",
                Taxon.Part.FLOWER);
        wish(
                "Three small bottles of meadowsweet",
                Basket.Product.TINCTURE,
                150,
                "2026-10-01",
                "2027-09-30",
                false,
                "meadowsweet",
                Taxon.Part.TOPS);
        wish(
                "Twelve tins of marigold salve to give away",
                Basket.Product.SALVE,
                320,
                "2026-12-06",
                "2027-05-31",
                false,
                "pot-marigold",
                Taxon.Part.FLOWER_HEAD);
        wish(
                "Nettle tea in early spring",
                Basket.Product.TEA,
                120,
                "2027-02-15",
                "2027-04-15",
                true,
                "stinging-nettle",
                Taxon.Part.LEAF);
    }

    private void wish(
            String words,
            Basket.Product product,
            double amount,
            String from,
            String until,
            boolean evenly,
            String taxon,
            Taxon.Part part) {
        wishes.add(new WishService.WishRequest(
                Owned.newId(),
                words,
                product,
                amount,
                LocalDate.parse(from),
                LocalDate.parse(until),
                evenly,
                false,
                null,
                List.of(new WishService.HerbRequest(taxon, part))));
    }

    private void vessels(VesselKind kind, double capacityMl, int count, String note) {
        vessels.add(new VesselService.VesselRequest(Owned.newId(), kind, capacityMl, count, note));
    }

    private LotView supply(
            LotForm form,
            String name,
            double amount,
            @Nullable Double strength,
            boolean open,
            @Nullable LocalDate bestBefore) {
        return stock.add(new StockService.SupplyRequest(
                Owned.newId(), form, name, amount, strength, false, open, bestBefore, "still-room shelf"));
    }

    /** Lily-of-the-valley grows through it: handfuls are refused, singly examined leaves are not. */
    private void ramsonsWithLilies() {
        UUID id = Owned.newId();
        At at = near("Ramsons in the hollow", "Abbot's Copse");
        stands.add(new StandService.StandRequest(
                id,
                "ramsons",
                "Ramsons in the hollow",
                "Abbot's Copse",
                Site.Ground.CLEAN,
                Site.Permission.GIVEN,
                Site.Plenty.PLENTIFUL,
                false,
                "lily-of-the-valley",
                at.latitude,
                at.longitude,
                at.elevationM,
                null,
                null,
                null));
        identify(id, "ramsons", LifeStage.FLOWERING);
    }

    /** Seen in leaf, when it can't be told; now that such plants flower, Today asks for another look. */
    private void unknownByTheDitch() {
        UUID id = Owned.newId();
        At at = near("Something by the ditch", "Kettle Fen");
        stands.add(new StandService.StandRequest(
                id,
                null,
                "Something by the ditch",
                "Kettle Fen",
                Site.Ground.UNKNOWN,
                Site.Permission.GIVEN,
                Site.Plenty.FAIR,
                false,
                null,
                at.latitude,
                at.longitude,
                at.elevationM,
                null,
                null,
                null));
        looks.identify(
                id,
                new LookService.IdentificationRequest(
                        Owned.newId(),
                        people.today(),
                        LifeStage.LEAFY,
                        null,
                        List.of(
                                new LookService.ObservationView("leaf-division", "interruptedly-pinnate"),
                                new LookService.ObservationView("end-leaflet", "like-others"),
                                new LookService.ObservationView("leaf-margin", "sharp-teeth"),
                                new LookService.ObservationView("leaf-hairs", "soft")),
                        null,
                        null,
                        null,
                        null,
                        null));
    }

    /** Told in flower, to be dug when it has died back and can't be told. */
    private void taggedValerian() {
        UUID id = stand("common-valerian", "Valerian along the ditch", "Kettle Fen", Site.Ground.CLEAN);
        identify(id, "common-valerian", LifeStage.FLOWERING);
        tags.tag(id, new TagService.TagRequest(Owned.newId(), "blue 3", "third post from the sluice", 55.012, 2.508));
    }

    /** Merrow, as Ilse drew it. */
    private void island() {
        draw(
                Outline.Kind.SHORE,
                "Merrow",
                2.474,
                54.993,
                2.478,
                55.003,
                2.473,
                55.011,
                2.478,
                55.019,
                2.487,
                55.0235,
                2.497,
                55.022,
                2.505,
                55.0195,
                2.514,
                55.0175,
                2.521,
                55.0105,
                2.5275,
                55.0035,
                2.5245,
                54.9955,
                2.5165,
                54.9895,
                2.508,
                54.985,
                2.4985,
                54.9845,
                2.490,
                54.987,
                2.481,
                54.988);
        draw(
                Outline.Kind.MEADOW,
                "Kettle Fen",
                2.5015,
                55.0145,
                2.508,
                55.0155,
                2.5145,
                55.0135,
                2.513,
                55.0095,
                2.5055,
                55.0085,
                2.5005,
                55.0105);
        draw(
                Outline.Kind.WATER,
                "the kettle hole",
                2.506,
                55.0128,
                2.5085,
                55.0134,
                2.5105,
                55.0122,
                2.5085,
                55.0112,
                2.5062,
                55.0115);
        draw(
                Outline.Kind.WOOD,
                "Abbot's Copse",
                2.508,
                54.9985,
                2.514,
                54.9995,
                2.5195,
                54.9965,
                2.5165,
                54.993,
                2.5105,
                54.9935);
        draw(
                Outline.Kind.MEADOW,
                "The Long Dune",
                2.477,
                55.0165,
                2.486,
                55.0215,
                2.4935,
                55.0195,
                2.4905,
                55.0165,
                2.482,
                55.0145);
        draw(
                Outline.Kind.ROAD,
                "to Tarry Quarry",
                2.5265,
                55.002,
                2.515,
                55.0015,
                2.505,
                54.999,
                2.4995,
                54.9945,
                2.4985,
                54.990);
        draw(
                Outline.Kind.PATH,
                "Signal Lane",
                2.500,
                55.002,
                2.495,
                55.0045,
                2.490,
                55.006,
                2.4855,
                55.011,
                2.485,
                55.0165);
        draw(Outline.Kind.PATH, "the fen boards", 2.500, 55.002, 2.5025, 55.007, 2.506, 55.0105);
        draw(
                Outline.Kind.HOUSE,
                "Sallowbrook House",
                2.4993,
                55.0019,
                2.5007,
                55.0019,
                2.5007,
                55.0026,
                2.4993,
                55.0026);
    }

    private void draw(Outline.Kind kind, String name, double... numbers) {
        List<List<Double>> points = new ArrayList<>();
        for (int i = 0; i < numbers.length; i += 2) {
            points.add(List.of(numbers[i], numbers[i + 1]));
        }
        ground.draw(new GroundService.ShapeRequest(Owned.newId(), kind, name, points));
    }

    private record At(double latitude, double longitude, double elevationM) {}

    /** On the island; each stand a little way off. */
    private static final Map<String, At> PLACES = Map.of(
            "Signal Lane", new At(55.0050, 2.4920, 40),
            "Kettle Fen", new At(55.0120, 2.5080, 4),
            "The Long Dune", new At(55.0180, 2.4850, 8),
            "Abbot's Copse", new At(54.9960, 2.5130, 60),
            "Tarry Quarry", new At(54.9905, 2.4985, 95),
            "Station Garden", new At(55.0030, 2.5000, 35),
            "Lantern Cottage", new At(55.0005, 2.5205, 20));

    private static At near(String name, String place) {
        At at = PLACES.getOrDefault(place, new At(55, 2.5, 35));
        int off = Math.floorMod(name.hashCode(), 100);
        return new At(at.latitude + (off / 10 - 5) * 0.0006, at.longitude + (off % 10 - 5) * 0.0011, at.elevationM);
    }

    /** Noted year by year, as of then or later. */
    private void first(UUID stand, LifeStage stage, String... days) {
        for (String day : days) {
            seasons.see(stand, new SeasonService.SightingRequest(Owned.newId(), stage, LocalDate.parse(day)));
        }
    }

    private void touched(UUID person, String taxon, String day, Contacts.Reaction reaction, String words) {
        contacts.note(
                new ContactService.ContactRequest(Owned.newId(), person, taxon, LocalDate.parse(day), reaction, words));
    }

    private void written(
            FindSource.Thing about, UUID of, String words, Note.Seen seen, ComeBack.@Nullable When comeBack) {
        notes.write(new NoteService.NoteRequest(
                Owned.newId(),
                about,
                of.toString(),
                people.today(),
                words,
                seen,
                "",
                null,
                null,
                comeBack == null ? null : new NoteService.ComeBackRequest(comeBack, null),
                false));
    }

    private UUID stand(String taxon, String name, String place, Site.Ground ground) {
        UUID id = Owned.newId();
        At at = near(name, place);
        stands.add(new StandService.StandRequest(
                id,
                taxon,
                name,
                place,
                ground,
                Site.Permission.GIVEN,
                Site.Plenty.PLENTIFUL,
                false,
                null,
                at.latitude,
                at.longitude,
                at.elevationM,
                taxon.equals("common-valerian") ? 2022 : null,
                null,
                null));
        return id;
    }

    /** Observes what the card says is most often shown, leaving out what would need digging. */
    private void identify(UUID stand, String taxonId, LifeStage stage) {
        Taxon taxon = herbarium.taxon(taxonId);
        List<LookService.ObservationView> seen = new ArrayList<>();
        for (Taxon.Shown shown : taxon.characters()) {
            var definition = herbarium.herbarium().character(shown.character());
            if (definition != null && definition.cost() < 3 && shown.stages().contains(stage)) {
                String state = shown.states().entrySet().stream()
                        .max(Comparator.comparingDouble(
                                (Map.Entry<String, Frequency> e) -> e.getValue().share()))
                        .orElseThrow()
                        .getKey();
                seen.add(new LookService.ObservationView(shown.character(), state));
            }
        }
        // Where something deadly is taken for it, one look is not enough: the day before, and today at other plants.
        boolean twice = taxon.lookAlikes().stream()
                .anyMatch(l -> herbarium.taxon(l.taxon()).danger() == Danger.DEADLY);
        if (twice) {
            Instant now = clock.instant();
            clock.set(now.minus(Duration.ofDays(1)));
            look(stand, people.today(), stage, seen, false);
            clock.set(now);
        }
        look(stand, people.today(), stage, seen, twice);
    }

    private void look(
            UUID stand, LocalDate on, LifeStage stage, List<LookService.ObservationView> seen, boolean otherPlants) {
        looks.identify(
                stand,
                new LookService.IdentificationRequest(
                        Owned.newId(),
                        on,
                        stage,
                        null,
                        seen,
                        seen,
                        otherPlants,
                        "Tam Holm",
                        null,
                        "field guide, page noted"));
    }

    /** Cannot yet be told from foxglove. */
    private void comfreyRosette(UUID comfrey) {
        looks.identify(
                comfrey,
                new LookService.IdentificationRequest(
                        Owned.newId(),
                        people.today(),
                        LifeStage.ROSETTE,
                        null,
                        List.of(
                                new LookService.ObservationView("leaf-division", "simple"),
                                new LookService.ObservationView("leaf-outline", "lance"),
                                new LookService.ObservationView("leaf-hairs", "soft"),
                                new LookService.ObservationView("leaf-margin", "entire")),
                        null,
                        null,
                        null,
                        null,
                        null));
    }

    private void buy(
            String taxon,
            Taxon.Part part,
            double massG,
            String from,
            BoughtGate.Label label,
            @Nullable Integer harvestedDaysBefore) {
        LocalDate today = people.today();
        jars.buy(new JarService.BoughtRequest(
                Owned.newId(),
                taxon,
                part,
                massG,
                from,
                label,
                false,
                today,
                harvestedDaysBefore == null ? null : today.minusDays(harvestedDaysBefore),
                null,
                "still-room, bought"));
    }

    private UUID harvest(UUID stand, Taxon.Part part, LifeStage stage, double massG, double share, String weather) {
        UUID id = Owned.newId();
        harvests.harvest(
                stand,
                new HarvestService.HarvestRequest(
                        id,
                        part,
                        stage,
                        people.today(),
                        massG,
                        null,
                        share,
                        null,
                        null,
                        weather,
                        List.of("leaf-division", "leaf-margin", "stem-surface", "leaf-hairs"),
                        true,
                        null,
                        null,
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
        go(before, 9);
        UUID harvest = harvest(stand, part, stage, massG, share, weather);
        UUID run = Owned.newId();
        go(before, 11);
        Instant start = clock.instant();
        drying.start(new DryingService.StartRequest(
                run,
                harvest,
                "Attic screen 1",
                start,
                massG,
                new Range(moisture - 0.02, moisture + 0.02),
                34.0,
                0.30,
                null,
                null,
                null));
        double dry = massG * (1 - moisture);
        double end = dry / (1 - 0.07);
        for (double hours : new double[] {10, 24, 48, 72, 90}) {
            double mass = end + (massG - end) * Math.exp(-0.09 * hours);
            go(before, 11 + hours);
            drying.weigh(
                    run,
                    new DryingService.WeighingRequest(
                            Owned.newId(),
                            clock.instant(),
                            (double) Math.round(mass),
                            org.sallowbrook.server.drying.WeighingSource.HAND,
                            null));
        }
        go(before, 11 + 91);
        DryingService.RunView view = drying.one(run);
        drying.condition(
                run,
                new DryingService.ConditionRequest(34.0, 0.30, true, clock.instant()),
                String.valueOf(view.version()));
        drying.test(run, new DryingService.TestRequest(Owned.newId(), Drying.PhysicalTest.CRUMBLES, clock.instant()));
        UUID jar = Owned.newId();
        List<DryingService.WeighingView> weighings = drying.one(run).weighings();
        jars.jar(new JarService.JarRequest(
                jar, run, people.today(), weighings.get(weighings.size() - 1).massG(), "still-room, dark cupboard"));
        return jar;
    }

    private void press(UUID batch, LocalDate on, double amount) {
        press(batch, on, amount, null);
    }

    private void press(UUID batch, LocalDate on, double amount, @Nullable Water water) {
        BatchReader.BatchView view = batches.one(batch);
        pressing.press(
                batch, new PressingService.PressRequest(amount, on, water, null), String.valueOf(view.version()));
    }

    private List<LotView> fill(UUID batch, LocalDate on, double capacityMl, int count) {
        BatchReader.BatchView view = batches.one(batch);
        return filling.fill(
                batch,
                new FillingService.FillRequest(
                        List.of(new FillingService.ContainerRequest(capacityMl, count, null)),
                        on,
                        "still-room, dark cupboard",
                        true),
                String.valueOf(view.version()));
    }

    /** With the neighbour, who is asked after on the third day. */
    private void salveFor(UUID person, UUID tin) {
        courses.add(new CourseRequest(
                Owned.newId(),
                person,
                tin,
                "minor inflamed skin and small wounds",
                DosingGate.Way.SKIN,
                0.5,
                "g",
                2,
                new PatternRequest.DailyPattern(),
                null,
                null,
                14,
                new CourseRequest.TimingRequest(CourseRequest.Relation.ANY, null, null, null),
                people.today(),
                DosingGate.Skin.INTACT,
                Dose.Unit.FINGERTIP,
                null,
                null,
                null,
                List.of()));
    }

    private void course(UUID person, UUID bottle) {
        UUID id = Owned.newId();
        courses.add(new CourseRequest(
                id,
                person,
                bottle,
                "minor joint pain",
                DosingGate.Way.MOUTH,
                3.0,
                "mL",
                3,
                new PatternRequest.CyclePattern(5, 2),
                new CourseRequest.RampRequest(0.5, 3),
                null,
                21,
                new CourseRequest.TimingRequest(CourseRequest.Relation.AFTER_MEAL, 15, 30, null),
                people.today(),
                null,
                null,
                null,
                null,
                null,
                List.of()));
        diaries.keep(id, new DiaryService.DiaryRequest("the stiff hip in the morning"));
        int[] scores = {6, 7, 5, 6, 7, 6, 6, 5, 7, 6};
        for (int i = 0; i < scores.length; i++) {
            diaries.note(
                    id,
                    new DiaryService.DiaryDayRequest(
                            Owned.newId(), people.today().minusDays(scores.length - i), scores[i], ""));
        }
        for (int before = 3; before >= 1; before--) {
            for (int slot = 1; slot <= (before == 2 ? 2 : 3); slot++) {
                LocalDate on = go(before, 8 + slot * 5 - 4.5);
                doses.take(id, new DoseService.DoseRequest(Owned.newId(), on, slot, null, null, null, null));
            }
            diaries.note(id, new DiaryService.DiaryDayRequest(Owned.newId(), people.today(), before + 2, ""));
        }
    }

    /** Five weighings, the next one due. */
    private void running(UUID stand) {
        go(2, 9);
        UUID harvest = harvest(stand, Taxon.Part.TOPS, LifeStage.FLOWERING, 500, 0.05, "warm, dry");
        weighed(
                harvest,
                "Attic screen 2",
                new Range(0.70, 0.76),
                26,
                0.45,
                2,
                new double[] {6, 12, 20, 26, 32},
                new double[] {402, 331, 268, 236, 212});
    }

    /** Hung in a humid scullery, it stopped losing weight long before it was dry. */
    private void stalled(UUID stand) {
        go(5, 9);
        UUID harvest = harvest(stand, Taxon.Part.FLOWER_HEAD, LifeStage.FLOWERING, 300, 0.10, "mist");
        weighed(
                harvest,
                "Scullery line",
                new Range(0.78, 0.84),
                16,
                0.84,
                5,
                new double[] {24, 48, 72, 98},
                new double[] {158, 98, 78, 77});
    }

    /** Laid too thick after rain; thrown away on the sixth day. */
    private UUID moulding(UUID stand) {
        go(10, 9);
        UUID harvest = harvest(stand, Taxon.Part.TOPS, LifeStage.FLOWERING, 280, 0.06, "after rain");
        return weighed(
                harvest, "Scullery line", new Range(0.70, 0.80), 19, 0.80, 10, new double[] {24, 60}, new double[] {
                    238, 196
                });
    }

    private UUID weighed(
            UUID harvest,
            String rack,
            Range moisture,
            double temperatureC,
            double humidity,
            int before,
            double[] hours,
            double[] grams) {
        go(before, 10);
        UUID run = Owned.newId();
        double freshG =
                java.util.Objects.requireNonNull(harvests.harvest(harvest).massG());
        drying.start(new DryingService.StartRequest(
                run,
                harvest,
                rack,
                clock.instant(),
                freshG,
                moisture,
                temperatureC,
                humidity,
                rack.contains("line") ? Way.Method.HANG : Way.Method.SCREEN,
                null,
                null));
        for (int i = 0; i < hours.length; i++) {
            go(before, 10 + hours[i]);
            drying.weigh(
                    run,
                    new DryingService.WeighingRequest(
                            Owned.newId(),
                            clock.instant(),
                            grams[i],
                            org.sallowbrook.server.drying.WeighingSource.HAND,
                            null));
        }
        return run;
    }
}
