package org.sallowbrook.server.shelf;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.measure.Amount;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.Unit;
import org.sallowbrook.core.shelf.Stage;
import org.sallowbrook.core.shelf.Together;
import org.sallowbrook.server.household.PeopleService;
import org.sallowbrook.server.platform.Once;
import org.sallowbrook.server.platform.Problem;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Two jars or bottles of the same poured into one, and taken apart again as long as nothing was taken of it. */
@Service
@Transactional
public class TogetherService {

    private static final int MOST_LISTED = 200;
    private static final int MOST_LETTERS = 120;

    /**
     * @param id of the jar that both go into, made by the client
     * @param with the other one
     * @param withVersion of it, as the page has seen it
     */
    public record TogetherRequest(UUID id, UUID with, String name, Long withVersion) {}

    private final Lots lots;
    private final LotReader reader;
    private final Ledger ledger;
    private final Standing standing;
    private final PeopleService people;
    private final Once once;

    TogetherService(Lots lots, LotReader reader, Ledger ledger, Standing standing, PeopleService people, Once once) {
        this.lots = lots;
        this.reader = reader;
        this.ledger = ledger;
        this.standing = standing;
        this.people = people;
        this.once = once;
    }

    /** What this one may be poured together with. */
    @Transactional(readOnly = true)
    public List<LotView> fitting(UUID id) {
        Lot lot = reader.find(id);
        if (!whole(lot) || !why(lot).isEmpty()) {
            return List.of();
        }
        return lots
                .findAllByStageAndFormAndRemainingGreaterThanOrderByCode(lot.stage, lot.form, 0, Limit.of(MOST_LISTED))
                .stream()
                .filter(other -> !other.id.equals(id) && whole(other))
                .filter(other ->
                        Together.whyNot(jar(lot), jar(other), people.today()).isEmpty())
                .filter(other -> why(other).isEmpty())
                .map(reader::view)
                .toList();
    }

    /** All that is left of both goes into a third, which comes from both: whatever is found out of either reaches it. */
    public LotView pour(UUID id, TogetherRequest request, @Nullable String ifMatch) {
        if (once.repeated("together", request.id(), lots::existsById, id, request)) {
            return reader.view(reader.find(request.id()));
        }
        Lot a = reader.find(id);
        a.checkVersion(ifMatch, () -> reader.view(a));
        Lot b = reader.find(request.with());
        b.checkVersion("\"" + request.withVersion() + "\"", () -> reader.view(b));
        String name = request.name().strip();
        Checks.begin()
                .that(!a.id.equals(b.id), "with", "must be another one")
                .that(whole(a) && whole(b), "with", "must stand here on the shelf, with something in it")
                .that(!name.isEmpty() && name.length() <= MOST_LETTERS, "name", "needs 1 to 120 letters")
                .done();
        List<Finding> wrong = new ArrayList<>(why(a));
        wrong.addAll(why(b));
        wrong.addAll(Together.whyNot(jar(a), jar(b), people.today()));
        if (!wrong.isEmpty()) {
            throw new Problem.Refused(wrong);
        }
        LocalDate today = people.today();
        Lot both = both(request.id(), name, a, b);
        both.code = ledger.codeLike(a, today);
        both.openedOn = today;
        lots.save(both);
        for (Lot lot : List.of(a, b)) {
            ledger.link(lot.id, both.id, Amount.of(lot.remaining, Unit.of(lot.unit)));
            if (lot.openedOn == null) {
                lot.openedOn = today;
            }
            lot.vesselId = null;
            ledger.change(lot, LotChange.What.TOGETHER, -lot.remaining, both.id, today);
        }
        ledger.change(both, LotChange.What.PUT, both.amount, null, today);
        lots.flush();
        return reader.view(both);
    }

    /** It was only said, not done: as long as nothing was taken of it, both are there again and nothing is in this one. */
    public LotView apart(UUID id, @Nullable String ifMatch) {
        Lot both = reader.find(id);
        both.checkVersion(ifMatch, () -> reader.view(both));
        if (!both.together || both.neverFilled || both.remaining < both.amount - 1e-9 || both.holder != null) {
            throw new Problem.Conflict(
                    "Only what two were poured into, and is as full as then, is taken back to both.");
        }
        // A doubt about the one would not be about the two: it is cleared first, or stays.
        List<Finding> wrong = why(both);
        if (!wrong.isEmpty()) {
            throw new Problem.Refused(wrong);
        }
        ledger.apart(both);
        return reader.view(both);
    }

    private List<Finding> why(Lot lot) {
        return standing.of(lot.id);
    }

    private static boolean whole(Lot lot) {
        return (lot.stage == Stage.STOCK || lot.stage == Stage.FILLED)
                && lot.remaining > 0
                && lot.holder == null
                && lot.piece == null;
    }

    private Together.Jar jar(Lot lot) {
        return new Together.Jar(
                lot.name + " (" + lot.code + ")",
                lot.stage,
                lot.form,
                lot.herbs.stream()
                        .map(h -> new Together.Herb(h.taxonId(), h.part()))
                        .collect(Collectors.toSet()),
                lot.remaining,
                lot.piece != null,
                lot.strengthPercent,
                lot.strengthLowPercent,
                interval(lot.moistureLow, lot.moistureHigh),
                interval(lot.driedGPerUnitLow, lot.driedGPerUnitHigh),
                lot.route,
                lot.madeOn,
                reader.view(lot).bestBefore(),
                lot.roomUntil,
                lot.coldUntil,
                lot.label);
    }

    private Lot both(UUID id, String name, Lot a, Lot b) {
        Together.Jar jar = Together.of(name, jar(a), jar(b));
        Lot both = a.part(id, jar.amount());
        both.splitFrom = null;
        both.together = true;
        both.name = name;
        both.strengthPercent = jar.strengthPercent();
        both.strengthLowPercent = jar.strengthLowPercent();
        both.moistureLow = jar.moisture() == null ? null : jar.moisture().low();
        both.moistureHigh = jar.moisture() == null ? null : jar.moisture().high();
        both.driedGPerUnitLow =
                jar.driedGPerUnit() == null ? null : jar.driedGPerUnit().low();
        both.driedGPerUnitHigh =
                jar.driedGPerUnit() == null ? null : jar.driedGPerUnit().high();
        both.route = jar.route();
        both.madeOn = jar.madeOn();
        both.bestBefore = jar.bestBefore();
        both.roomUntil = jar.roomUntil();
        both.coldUntil = jar.coldUntil();
        both.label = jar.label();
        both.traits.addAll(b.traits);
        both.supplier = joined(a.supplier, b.supplier);
        String numbers = joined(a.supplierLot, b.supplierLot);
        both.supplierLot = numbers == null ? "" : numbers;
        Ledger.herbs(
                both,
                Stream.of(a, b)
                        .flatMap(l -> l.herbs.stream()
                                .map(h -> new HerbView(h.taxonId(), "", h.part(), h.driedG() * l.remaining / l.amount)))
                        .toList());
        return both;
    }

    /** Too long for a line of its own it is read where each came from. */
    private static @Nullable String joined(@Nullable String a, @Nullable String b) {
        String all = Stream.of(a, b)
                .flatMap(Stream::ofNullable)
                .filter(s -> !s.isEmpty())
                .distinct()
                .collect(Collectors.joining("; "));
        return all.isEmpty() ? null : all.length() <= MOST_LETTERS ? all : "several; see where it came from";
    }

    private static @Nullable Interval interval(@Nullable Double low, @Nullable Double high) {
        return low == null || high == null ? null : Interval.of(low, high);
    }
}
