package org.sallowbrook.server.making;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.making.HerbPortion;
import org.sallowbrook.core.making.MakingGate;
import org.sallowbrook.core.making.Product;
import org.sallowbrook.core.making.spirit.Blend;
import org.sallowbrook.core.making.tincture.Tincture;
import org.sallowbrook.core.making.vessel.BulkDensity;
import org.sallowbrook.core.measure.Amount;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.Moisture;
import org.sallowbrook.core.measure.Words;
import org.sallowbrook.core.shelf.LotForm;
import org.sallowbrook.core.shelf.Stage;
import org.sallowbrook.core.shelf.Trait;
import org.sallowbrook.server.drying.DryingService;
import org.sallowbrook.server.herbarium.HerbariumService;
import org.sallowbrook.server.platform.Range;
import org.sallowbrook.server.shelf.HerbView;
import org.sallowbrook.server.shelf.LotView;
import org.sallowbrook.server.shelf.ShelfService;

/** What goes into one batch: loads it, and keeps what is drawn of each lot, so that gates, shares and links are the same for every kind. */
public final class Ingredients {

    private static final Interval WILTED = Interval.of(0.45, 0.65);
    private static final Interval FRESH = Interval.of(0.60, 0.90);
    private static final double PLENTY = 1_000_000;
    private static final double WIDE = 1.3;

    /**
     * @param lot null for what is only described
     * @param taxon null where nobody said which plant
     * @param bulkDensityGPerMl of the card, as it lies; null when unknown
     */
    public record Herb(
            String name,
            @Nullable LotView lot,
            @Nullable Taxon taxon,
            Taxon.@Nullable Part part,
            Tincture.State state,
            Moisture moisture,
            double massG,
            Interval massRangeG,
            @Nullable Interval bulkDensityGPerMl,
            Set<Taxon.Constituent> constituents) {

        /** As the part is called where one is needed. */
        public String partName() {
            return part == null ? "HERB" : part.name();
        }

        public HerbPortion portion() {
            return new HerbPortion(name, massG, moisture, massRangeG);
        }
    }

    /**
     * @param strengthPercent at the most; {@code weakestPercent} at the least
     * @param available in its unit; as good as endless for what is only described
     */
    public record Stock(
            String name,
            @Nullable LotView lot,
            LotForm form,
            double strengthPercent,
            double weakestPercent,
            double available,
            boolean open,
            @Nullable LocalDate bestBefore,
            @Nullable LocalDate openedOn) {

        /** Dried herb in one unit of it; null where unknown. */
        @Nullable
        public Interval driedGPerUnit() {
            Range range = lot == null ? null : lot.driedGPerUnit();
            return range == null ? null : range.interval();
        }

        /** With its number, so that two bottles of one name are told apart. */
        public String label() {
            return lot == null ? name : name + " (" + lot.code() + ")";
        }
    }

    /** How much of a lot is used. */
    record Use(LotView lot, double amount) {}

    /** What was described and must be on the shelf before it can be begun. */
    record Missing(
            String field,
            String name,
            LotForm form,
            @Nullable String taxonId,
            Taxon.@Nullable Part part) {}

    private final ShelfService shelf;
    private final DryingService drying;
    private final HerbariumService herbarium;
    private final Measures measures;
    private final LocalDate today;
    private final Map<UUID, LotView> herbs = new LinkedHashMap<>();
    private final Map<UUID, Use> uses = new LinkedHashMap<>();
    private final List<Finding> noticed = new ArrayList<>();
    private final List<MakingGate.Ingredient> described = new ArrayList<>();
    private final List<Missing> missing = new ArrayList<>();

    Ingredients(
            ShelfService shelf, DryingService drying, HerbariumService herbarium, Measures measures, LocalDate today) {
        this.measures = measures;
        this.shelf = shelf;
        this.drying = drying;
        this.herbarium = herbarium;
        this.today = today;
    }

    public List<Herb> herbs(List<HerbIn> wanted, String field) {
        Checks.begin()
                .that(!wanted.isEmpty() && wanted.size() <= 40, field, "must name from 1 to 40 herbs")
                .done();
        List<Herb> herbs = new ArrayList<>();
        for (int i = 0; i < wanted.size(); i++) {
            herbs.add(herb(wanted.get(i), field + "[" + i + "]"));
        }
        return herbs;
    }

    public Herb herb(HerbIn in, String field) {
        Checks.begin()
                .that((in.massG() == null) != (in.measure() == null), field + ".massG", "or a measure is needed")
                .that(
                        in.massG() == null || in.massG() >= Checks.SMALLEST && in.massG() <= Checks.LARGEST,
                        field + ".massG",
                        "must be above 0")
                .done();
        if (in.lotId() == null) {
            return described(in, field);
        }
        LotView lot = shelf.lot(in.lotId());
        Checks.begin()
                .that(
                        lot.form() == LotForm.HERB && lot.stage() != Stage.BATCH
                                || lot.form() == LotForm.TEA_MIXTURE
                                || lot.form() == LotForm.POWDER
                                || lot.form() == LotForm.FROZEN_HERB,
                        field + ".lotId",
                        "must name a jar, a harvest, a mixture, a powder or frozen herb")
                .done();
        herbs.put(lot.id(), lot);
        if (lot.stage() == Stage.HARVEST && drying.onRack(lot.id())) {
            noticed.add(Finding.stop(
                    "ON_THE_RACK",
                    lot.name() + " (" + lot.code() + ") lies on the rack.",
                    "Let it dry and take it from its jar, or use herb that was not laid out."));
        }
        boolean frozen = lot.form() == LotForm.FROZEN_HERB;
        HerbView only = frozen && lot.herbs().size() == 1 ? lot.herbs().get(0) : null;
        String taxonId = only == null ? lot.taxonId() : only.taxonId();
        Taxon.Part part = only == null ? lot.part() : only.part();
        Taxon taxon = taxonId == null ? null : herbarium.taxon(taxonId);
        // What was frozen is as wet as it was fresh.
        boolean fresh = lot.stage() == Stage.HARVEST || frozen;
        // A basket may have wilted a day; a jar is dry.
        Tincture.State state = !fresh
                ? Tincture.State.DRIED
                : in.state() == Tincture.State.WILTED ? Tincture.State.WILTED : Tincture.State.FRESH;
        Interval mass = mass(in, lot.id(), taxonId, part, state, taxon, lot.name());
        return new Herb(
                lot.name(),
                lot,
                taxon,
                part,
                state,
                lot.moisture() == null
                        ? moisture(state, taxon, part)
                        : lot.moisture().moisture(),
                mass.mid(),
                mass,
                bulk(taxon, part, state),
                lot.herbs().stream()
                        .flatMap(h -> herbarium.taxon(h.taxonId()).constituents().stream())
                        .collect(Collectors.toSet()));
    }

    private Herb described(HerbIn in, String field) {
        Taxon taxon = in.taxonId() == null ? null : herbarium.taxon(in.taxonId());
        Tincture.State state = in.state() == null ? Tincture.State.DRIED : in.state();
        String part = in.part() == null ? "herb" : Words.lower(in.part());
        String name = (taxon == null ? Words.lower(state) + " " + part : taxon.commonName() + ", " + part);
        missing.add(new Missing(field, name, LotForm.HERB, in.taxonId(), in.part()));
        if (taxon != null) {
            boolean pyrrolizidine = taxon.constituents().contains(Taxon.Constituent.PYRROLIZIDINE);
            Taxon.UsedPart used =
                    in.part() == null ? null : taxon.usedPart(in.part()).orElse(null);
            boolean internal = used != null && used.using().routes().contains(Taxon.Route.INTERNAL) && !pyrrolizidine;
            described.add(new MakingGate.Ingredient(
                    name,
                    Product.State.USABLE,
                    internal ? Taxon.Route.INTERNAL : Taxon.Route.EXTERNAL,
                    false,
                    pyrrolizidine,
                    null));
        }
        Interval mass = mass(in, null, in.taxonId(), in.part(), state, taxon, name);
        return new Herb(
                name,
                null,
                taxon,
                in.part(),
                state,
                moisture(state, taxon, in.part()),
                mass.mid(),
                mass,
                bulk(taxon, in.part(), state),
                taxon == null ? Set.of() : taxon.constituents());
    }

    /** As weighed; or a range, by this household's own spoons and handfuls, with what would narrow it. */
    private Interval mass(
            HerbIn in,
            @Nullable UUID lot,
            @Nullable String taxonId,
            Taxon.@Nullable Part part,
            Tincture.State state,
            @Nullable Taxon taxon,
            String name) {
        HerbIn.Spoons measure = in.measure();
        if (measure == null) {
            return Interval.exactly(java.util.Objects.requireNonNull(in.massG()));
        }
        Interval bulk = bulk(taxon, part, state);
        boolean fresh = state == Tincture.State.FRESH;
        Interval grams = measures.grams(
                measure.unit(),
                measure.amount(),
                lot,
                taxonId,
                part,
                fresh,
                bulk == null ? BulkDensity.general(part, fresh) : bulk);
        if (grams.high() > grams.low() * WIDE) {
            noticed.add(Finding.note(
                    "MEASURED_WITHOUT_A_SCALE",
                    Words.figure(measure.amount()) + " " + Words.lower(measure.unit()) + " of " + name + " may be "
                            + Words.range(grams, "g") + "; every figure below is a range because of it.",
                    "Weigh it once, or weigh this measure of it once on the page of measures."));
        }
        return grams;
    }

    private static Moisture moisture(Tincture.State state, @Nullable Taxon taxon, Taxon.@Nullable Part part) {
        if (state == Tincture.State.DRIED) {
            return Moisture.OF_DRIED_HERB;
        }
        if (state == Tincture.State.WILTED) {
            return Moisture.of(WILTED.low(), WILTED.high());
        }
        Interval card = taxon == null || part == null
                ? null
                : taxon.usedPart(part).map(p -> p.drying().freshMoisture()).orElse(null);
        return card == null ? Moisture.of(FRESH.low(), FRESH.high()) : Moisture.of(card.low(), card.high());
    }

    private static @Nullable Interval bulk(@Nullable Taxon taxon, Taxon.@Nullable Part part, Tincture.State state) {
        Taxon.UsedPart used =
                taxon == null || part == null ? null : taxon.usedPart(part).orElse(null);
        if (used == null) {
            return null;
        }
        return state == Tincture.State.DRIED
                ? used.keeping().bulkDensityGPerMl()
                : used.drying().freshBulkDensityGPerMl();
    }

    public List<Stock> stocks(List<StockIn> wanted, Set<LotForm> forms, String field) {
        Checks.begin()
                .that(!wanted.isEmpty() && wanted.size() <= 40, field, "must name from 1 to 40")
                .done();
        List<Stock> stocks = new ArrayList<>();
        for (int i = 0; i < wanted.size(); i++) {
            stocks.add(stock(wanted.get(i), forms, field + "[" + i + "]"));
        }
        return stocks;
    }

    public Stock stock(StockIn in, Set<LotForm> forms, String field) {
        LotForm first = forms.iterator().next();
        if (in.lotId() == null) {
            String called =
                    in.called() == null ? Words.lower(first) : in.called().strip();
            Checks.begin()
                    .that(!called.isEmpty() && called.length() <= 120, field + ".called", "must have 1 to 120 letters")
                    .that(
                            first.percent() == null || in.strengthPercent() != null,
                            field + ".strengthPercent",
                            "is needed for what is not on the shelf")
                    .done();
            if (first.percent() != null && in.strengthPercent() != null) {
                Checks.begin()
                        .range(
                                field + ".strengthPercent",
                                in.strengthPercent(),
                                first.percent().low(),
                                first.percent().high())
                        .done();
            }
            missing.add(new Missing(field, called, first, null, null));
            return new Stock(
                    called,
                    null,
                    first,
                    in.strengthPercent() == null ? 0 : in.strengthPercent(),
                    in.strengthPercent() == null ? 0 : in.strengthPercent(),
                    PLENTY,
                    false,
                    null,
                    null);
        }
        LotView lot = shelf.lot(in.lotId());
        Checks.begin()
                .that(
                        forms.contains(lot.form()) && lot.stage() != Stage.BATCH,
                        field + ".lotId",
                        "must name one of "
                                + String.join(
                                        ", ",
                                        forms.stream()
                                                .map(Words::lower)
                                                .sorted()
                                                .toList()))
                .done();
        double strength = lot.strengthPercent() == null ? 0 : lot.strengthPercent();
        return new Stock(
                lot.name(),
                lot,
                lot.form(),
                strength,
                lot.strengthLowPercent() == null ? strength : lot.strengthLowPercent(),
                lot.remaining(),
                lot.openedOn() != null,
                lot.bestBefore(),
                lot.openedOn());
    }

    /** So much of a lot will be used, in its unit; nothing of what is only described. */
    public void draw(@Nullable LotView lot, double amount) {
        if (lot != null && amount > 0) {
            uses.merge(lot.id(), new Use(lot, amount), (a, b) -> new Use(a.lot(), a.amount() + b.amount()));
        }
    }

    /** All of the herbs, as weighed. */
    public void drawHerbs(List<Herb> herbs) {
        herbs.forEach(h -> draw(h.lot(), h.massG()));
    }

    /** What was blended of several bottles; water comes from the tap. */
    public void drawPours(List<Blend.NamedPour> pours, List<Stock> spirits) {
        for (Blend.NamedPour pour : pours) {
            spirits.stream()
                    .filter(s -> s.label().equals(pour.name()))
                    .findFirst()
                    .ifPresent(s -> draw(s.lot(), pour.volumeMl()));
        }
    }

    List<Use> uses() {
        return List.copyOf(uses.values());
    }

    List<Missing> missing() {
        return List.copyOf(missing);
    }

    /** What the bench's gates say of what goes in, and where there is not enough. */
    List<Finding> findings(Taxon.Route wanted) {
        List<Finding> findings = new ArrayList<>(MakingGate.check(gated(), wanted, today));
        findings.addAll(noticed);
        for (Use use : uses.values()) {
            LotView lot = use.lot();
            Amount needed = Amount.of(use.amount(), lot.left().unit());
            if (!lot.left().covers(needed)) {
                findings.add(Finding.stop(
                        "NOT_ENOUGH",
                        lot.name() + " (" + lot.code() + ") has only " + lot.left() + " left; " + needed
                                + " is needed.",
                        "Make less, or take another lot."));
            }
        }
        return findings;
    }

    Taxon.Route route() {
        return MakingGate.routeOf(gated());
    }

    private List<MakingGate.Ingredient> gated() {
        List<MakingGate.Ingredient> all = new ArrayList<>(described);
        // A herb that was chosen is judged even where nothing can be made of it.
        Map<UUID, LotView> lots = new LinkedHashMap<>(herbs);
        uses.forEach((id, use) -> lots.put(id, use.lot()));
        lots.values().forEach(l -> all.add(ingredient(l)));
        return all;
    }

    static MakingGate.Ingredient ingredient(LotView lot) {
        return new MakingGate.Ingredient(
                lot.name(),
                lot.state(),
                lot.route(),
                lot.is(Trait.DENATURED),
                lot.is(Trait.PYRROLIZIDINE),
                lot.bestBefore());
    }

    /** What goes on with whatever it goes into; a denatured spirit's trait does not, its narrower route does. */
    Set<Trait> traits() {
        java.util.EnumSet<Trait> all = java.util.EnumSet.noneOf(Trait.class);
        uses.values().forEach(u -> all.addAll(u.lot().traits()));
        return all;
    }

    /** The dried herb that goes in with what is drawn. */
    List<HerbView> herbsOf() {
        List<HerbView> herbs = new ArrayList<>();
        for (Use use : uses.values()) {
            LotView lot = use.lot();
            double share = use.amount() / lot.amount();
            lot.herbs()
                    .forEach(h -> herbs.add(new HerbView(h.taxonId(), h.commonName(), h.part(), h.driedG() * share)));
        }
        return herbs;
    }
}
