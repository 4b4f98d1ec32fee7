package org.sallowbrook.server.dosing;

import java.time.Clock;
import java.time.Duration;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.dosing.Direct;
import org.sallowbrook.core.dosing.DosingGate;
import org.sallowbrook.core.dosing.LeastInterval;
import org.sallowbrook.core.herbarium.GraveWords;
import org.sallowbrook.core.herbarium.LifeStage;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.household.Loosening;
import org.sallowbrook.core.making.Product;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Severity;
import org.sallowbrook.core.measure.Words;
import org.sallowbrook.core.shelf.Stage;
import org.sallowbrook.server.field.HarvestService;
import org.sallowbrook.server.field.StandService;
import org.sallowbrook.server.herbarium.HerbariumService;
import org.sallowbrook.server.household.LooseningService;
import org.sallowbrook.server.household.PeopleService;
import org.sallowbrook.server.platform.Due;
import org.sallowbrook.server.platform.DueSource;
import org.sallowbrook.server.platform.Gatekeeper;
import org.sallowbrook.server.platform.Member;
import org.sallowbrook.server.platform.Once;
import org.sallowbrook.server.platform.Past;
import org.sallowbrook.server.platform.Problem;
import org.sallowbrook.server.platform.StrikeRequest;
import org.sallowbrook.server.shelf.Ledger;
import org.sallowbrook.server.shelf.LotView;
import org.sallowbrook.server.shelf.Products;
import org.sallowbrook.server.shelf.ShelfService;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** A plant used as it is: from a stand, behind the gates of a harvest as well, or from a jar or basket in the house. */
@Service
@Transactional
public class DirectService implements DueSource {

    /** What was looked at again before it was picked. */
    public record Picked(LifeStage stage, List<String> tells, Boolean examinedSingly) {}

    /**
     * @param standId where it is picked for this; null when from {@code lotId}, a jar or a harvest in the house
     * @param part of the stand's plant; null with a lot
     * @param picked null with a lot
     * @param grams as it is used; null where nobody weighs it
     * @param ml of what was swallowed out of a bottle without a course; only with {@code done}
     * @param forTrial whether it is the first small trial, on a small patch or of a small bite
     * @param done whether it is on the skin or down already, so that it is kept even where it should not have been
     */
    public record DirectRequest(
            UUID id,
            UUID personId,
            @Nullable UUID standId,
            @Nullable UUID lotId,
            Taxon.@Nullable Part part,
            @Nullable Picked picked,
            Direct.Manner manner,
            @Nullable Double grams,
            @Nullable Double ml,
            DosingGate.@Nullable Skin skin,
            LocalDate on,
            Boolean forTrial,
            @Nullable Boolean done,
            String words,
            @Nullable List<Gatekeeper.Acknowledgement> acknowledged) {}

    public record DirectView(
            UUID id,
            UUID personId,
            String person,
            String taxonId,
            String commonName,
            Taxon.Part part,
            Direct.Manner manner,
            @Nullable UUID standId,
            @Nullable UUID lotId,
            @Nullable Double grams,
            @Nullable Double ml,
            DosingGate.@Nullable Skin skin,
            Boolean forTrial,
            LocalDate on,
            String words,
            @Nullable LocalDate askOn,
            @Nullable LocalDate askedOn,
            String notedBy) {}

    public record DirectCheck(List<Finding> findings) {}

    private static final int LATEST_DAYS = 14;

    /** Of a stand a leaf or a handful; more than this is a harvest. */
    private static final double SHARE = 0.01;

    private static final double MOST_G = 500;
    private static final double MOST_ML = 5000;

    private final DirectUses uses;
    private final CourseGates gates;
    private final LastTaken lastTaken;
    private final LooseningService loosening;
    private final PeopleService people;
    private final HerbariumService herbarium;
    private final StandService stands;
    private final HarvestService harvests;
    private final ShelfService shelf;
    private final Products products;
    private final Ledger ledger;
    private final Gatekeeper gatekeeper;
    private final Once once;
    private final Clock clock;

    DirectService(
            DirectUses uses,
            CourseGates gates,
            LastTaken lastTaken,
            LooseningService loosening,
            PeopleService people,
            HerbariumService herbarium,
            StandService stands,
            HarvestService harvests,
            ShelfService shelf,
            Products products,
            Ledger ledger,
            Gatekeeper gatekeeper,
            Once once,
            Clock clock) {
        this.uses = uses;
        this.gates = gates;
        this.lastTaken = lastTaken;
        this.loosening = loosening;
        this.people = people;
        this.herbarium = herbarium;
        this.stands = stands;
        this.harvests = harvests;
        this.shelf = shelf;
        this.products = products;
        this.ledger = ledger;
        this.gatekeeper = gatekeeper;
        this.once = once;
        this.clock = clock;
    }

    /** What it is of, and what its gates say. */
    private record Judged(Product product, Taxon taxon, Taxon.Part part, List<Finding> findings) {}

    @Transactional(readOnly = true)
    public DirectCheck check(DirectRequest request) {
        return new DirectCheck(judge(request).findings());
    }

    public DirectView use(DirectRequest request) {
        if (once.repeated("direct", request.id(), uses::existsById, request)) {
            return view(find(request.id()));
        }
        Judged judged = judge(request);
        if (Boolean.TRUE.equals(request.done())) {
            if (Finding.any(judged.findings(), Severity.STOP) || Finding.any(judged.findings(), Severity.HOLD)) {
                gatekeeper.record("direct", request.id(), "USED_DESPITE_STOP", request.words());
            }
        } else {
            if (Finding.any(judged.findings(), Severity.HOLD)) {
                throw new Problem.Refused(judged.findings());
            }
            gatekeeper.pass("direct", request.id(), judged.findings(), request.acknowledged());
        }
        DirectUse use = new DirectUse(request.id());
        use.personId = request.personId();
        use.taxonId = judged.taxon().id();
        use.part = judged.part();
        use.manner = request.manner();
        use.way = request.manner().way();
        use.standId = request.standId();
        use.lotId = request.lotId();
        use.grams = request.grams();
        use.ml = request.ml();
        use.notedAt = clock.instant();
        use.skin = request.skin();
        use.forTrial = request.forTrial();
        use.onDay = request.on();
        use.words = request.words().strip();
        use.askOn = asksAfter(request) ? request.on().plusDays(1) : null;
        use.notedBy = Member.current().displayName();
        uses.saveAndFlush(use);
        Double poured = request.ml() == null ? request.grams() : request.ml();
        if (request.lotId() != null && poured != null) {
            ledger.pour(request.lotId(), use.id, poured, request.on());
        }
        return view(use);
    }

    /** A trial is asked about on the morrow, and so is a cut and whatever was used though it should not have been. */
    private static boolean asksAfter(DirectRequest r) {
        return r.forTrial() || r.skin() != null && r.skin() != DosingGate.Skin.INTACT || Boolean.TRUE.equals(r.done());
    }

    /** Somebody has looked how it went. What was not borne is noted as a reaction beside it. */
    public DirectView asked(UUID id) {
        DirectUse use = find(id);
        if (use.askedOn == null) {
            use.askedOn = people.today();
            uses.saveAndFlush(use);
        }
        return view(use);
    }

    public Past past(int page) {
        var slice = uses.findAllByOrderByOnDayDescIdDesc(Past.page(page));
        Map<UUID, String> names = names();
        return Past.of(
                slice,
                u -> new Past.Entry(
                        u.id,
                        names.getOrDefault(u.personId, "") + ": "
                                + herbarium.taxon(u.taxonId).commonName(),
                        Words.lower(u.part),
                        u.onDay,
                        Words.lower(u.manner)
                                + (u.grams == null ? "" : ", " + Words.grams(u.grams))
                                + (u.words.isEmpty() ? "" : ", " + u.words)));
    }

    public DirectView strike(UUID id, StrikeRequest request) {
        DirectUse use = find(id);
        String reason = use.way == DosingGate.Way.MOUTH && !notedJustNow(use)
                ? loosening.pass(
                        Loosening.Safeguard.DOSE,
                        use.personId,
                        request,
                        herbarium.taxon(use.taxonId).commonName() + " was noted as taken on " + Words.day(use.onDay)
                                + " by " + use.notedBy)
                : request.checked();
        DirectView before = view(use);
        use.strike(clock.instant(), reason);
        uses.saveAndFlush(use);
        ledger.strike(id, reason);
        return before;
    }

    private boolean notedJustNow(DirectUse use) {
        return use.notedAt != null
                && use.notedBy.equals(Member.current().displayName())
                && Duration.between(use.notedAt, clock.instant()).compareTo(LeastInterval.AT_ONCE) <= 0;
    }

    @Transactional(readOnly = true)
    public DirectView one(UUID id) {
        return view(find(id));
    }

    @Override
    @Transactional(readOnly = true)
    public List<Due> due(Span span) {
        Map<UUID, String> names = names();
        return uses.findAllByAskOnBetweenAndAskedOnIsNull(span.from(), span.to()).stream()
                .map(u -> {
                    LocalDate on = java.util.Objects.requireNonNull(u.askOn);
                    return new Due(
                            Due.Kind.FOLLOW_UP,
                            "dosing",
                            u.id,
                            names.getOrDefault(u.personId, "") + ": how did "
                                    + herbarium.taxon(u.taxonId).commonName() + " go?",
                            (u.forTrial ? "first trial" : Words.lower(u.manner)) + " on " + Words.day(u.onDay)
                                    + (u.skin == DosingGate.Skin.SMALL_CLEAN_CUT
                                            ? "; a cut that is red, hot or throbbing belongs to a doctor"
                                            : ""),
                            on,
                            span.morning(on),
                            on.isBefore(span.today()),
                            null,
                            null,
                            null,
                            null);
                })
                .toList();
    }

    private Judged judge(DirectRequest r) {
        LocalDate today = people.today();
        boolean fromStand = r.standId() != null;
        Checks.begin()
                .that(fromStand != (r.lotId() != null), "standId", "either a stand or something in the house is used")
                .that(!fromStand || r.part() != null, "part", "must be given for a stand")
                .that(!fromStand || r.picked() != null, "picked", "must say what was looked at again")
                .that(
                        r.grams() == null || r.grams() > 0 && r.grams() <= MOST_G,
                        "grams",
                        "must be above 0 and at most 500")
                .that(
                        fromStand || r.grams() != null || r.ml() != null,
                        "grams",
                        "must be given for what is in the house")
                .that(
                        r.ml() == null || r.manner() == Direct.Manner.SWALLOWED && r.ml() > 0 && r.ml() <= MOST_ML,
                        "ml",
                        "is said of what was swallowed out of a bottle, and at most " + Words.figure(MOST_ML))
                .that(
                        r.manner() != Direct.Manner.SWALLOWED || r.lotId() != null && Boolean.TRUE.equals(r.done()),
                        "manner",
                        "is kept of what is down already; whoever means to take it plans a course")
                .that(!r.on().isAfter(today), "on", "must not be in the future")
                .that(r.on().isAfter(today.minusDays(LATEST_DAYS)), "on", "is longer ago than " + LATEST_DAYS + " days")
                .that(r.words().length() <= 300, "words", "must have at most 300 letters")
                .done();
        List<Finding> findings = new ArrayList<>();
        Product product;
        Taxon taxon;
        Taxon.Part part;
        if (r.standId() != null && r.part() != null && r.picked() != null) {
            StandService.StandView stand = stands.stand(r.standId());
            if (stand.taxonId() == null) {
                throw new Problem.Conflict("Nobody knows yet what grows there; nothing of it is used.");
            }
            taxon = herbarium.taxon(stand.taxonId());
            part = r.part();
            product = Direct.fresh(taxon, part, today);
            findings.addAll(harvests.check(r.standId(), picking(r, r.picked())).findings());
        } else {
            LotView lot = shelf.lot(java.util.Objects.requireNonNull(r.lotId()));
            boolean swallowed = r.manner() == Direct.Manner.SWALLOWED;
            Checks.begin()
                    .that(
                            swallowed || lot.stage() == Stage.STOCK || lot.stage() == Stage.HARVEST,
                            "lotId",
                            "must name a jar of herb or what was just picked; what was made has a course")
                    .that(
                            swallowed ? !lot.herbs().isEmpty() : lot.herbs().size() == 1,
                            "lotId",
                            swallowed ? "must hold herb" : "must hold one plant")
                    .that(
                            !swallowed || (lot.unit().equals("mL") ? r.ml() != null : r.grams() != null),
                            lot.unit().equals("mL") ? "ml" : "grams",
                            "must say how much is down; a guess is better than nothing")
                    .that(
                            swallowed || r.grams() != null && r.grams() <= lot.remaining() + 1e-6,
                            "grams",
                            "is more than there is")
                    .done();
            product = r.ml() == null ? Direct.byTheGram(products.of(lot.id())) : products.of(lot.id());
            taxon = product.herbs().get(0).taxon();
            part = product.herbs().get(0).part();
        }
        findings.addAll(judgeOn(r, product, r.on()));
        GraveWords.in(r.words())
                .ifPresent(word -> findings.add(Finding.stop(
                        "GRAVE_ILLNESS",
                        "\"" + word + "\" names a grave illness; no plant is used for it here.",
                        "See a doctor; treating it at home can hide what needs care.")));
        // A date in the past evades nothing that stops it now.
        if (!r.on().equals(today)) {
            judgeOn(r, product, today).stream()
                    .filter(f -> (f.severity() == Severity.STOP || f.severity() == Severity.HOLD)
                            && findings.stream().noneMatch(k -> k.code().equals(f.code())))
                    .forEach(findings::add);
        }
        return new Judged(product, taxon, part, findings);
    }

    private List<Finding> judgeOn(DirectRequest r, Product used, LocalDate on) {
        boolean byMouth = r.manner().way() == DosingGate.Way.MOUTH;
        Double said = r.ml() == null ? r.grams() : r.ml();
        double grams = byMouth && said != null ? said : 0;
        List<Finding> findings = new ArrayList<>(gates.judge(
                new CourseGates.Asked(
                        r.id(),
                        r.personId(),
                        used,
                        r.manner().way(),
                        null,
                        grams,
                        grams,
                        on,
                        1,
                        r.skin(),
                        on,
                        r.forTrial()),
                on,
                (person, intake) -> Direct.check(used, person, r.manner(), said, r.skin(), intake, on)));
        if (byMouth && r.manner() != Direct.Manner.EATEN) {
            findings.addAll(lastTaken.check(r.personId(), used, null));
        }
        return findings;
    }

    private static HarvestService.HarvestRequest picking(DirectRequest r, Picked picked) {
        return new HarvestService.HarvestRequest(
                r.id(),
                java.util.Objects.requireNonNull(r.part()),
                picked.stage(),
                r.on(),
                null,
                "for use at once",
                SHARE,
                null,
                null,
                "",
                picked.tells(),
                picked.examinedSingly(),
                null,
                null,
                null,
                List.of());
    }

    private DirectUse find(UUID id) {
        return uses.findById(id).filter(u -> !u.struck()).orElseThrow(() -> new Problem.NotFound("use"));
    }

    private Map<UUID, String> names() {
        return people.all().stream()
                .collect(Collectors.toMap(PeopleService.PersonView::id, PeopleService.PersonView::name));
    }

    private DirectView view(DirectUse u) {
        return new DirectView(
                u.id,
                u.personId,
                people.one(u.personId).name(),
                u.taxonId,
                herbarium.taxon(u.taxonId).commonName(),
                u.part,
                u.manner,
                u.standId,
                u.lotId,
                u.grams,
                u.ml,
                u.skin,
                u.forTrial,
                u.onDay,
                u.words,
                u.askOn,
                u.askedOn,
                u.notedBy);
    }
}
