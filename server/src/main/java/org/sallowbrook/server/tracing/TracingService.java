package org.sallowbrook.server.tracing;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.field.Site;
import org.sallowbrook.core.household.Loosening;
import org.sallowbrook.core.making.Product;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.shelf.Stage;
import org.sallowbrook.server.dosing.TakenOfLots;
import org.sallowbrook.server.drying.DryingService;
import org.sallowbrook.server.drying.LotMoulded;
import org.sallowbrook.server.field.GroundCondemned;
import org.sallowbrook.server.field.StandDoubted;
import org.sallowbrook.server.field.StandService;
import org.sallowbrook.server.household.LooseningService;
import org.sallowbrook.server.household.PeopleService;
import org.sallowbrook.server.platform.Problem;
import org.sallowbrook.server.platform.StrikeRequest;
import org.sallowbrook.server.shelf.Ledger;
import org.sallowbrook.server.shelf.LotView;
import org.sallowbrook.server.shelf.ShelfService;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Follows lots up and down the brook, and sets quarantine along it. */
@Service
@Transactional
public class TracingService {

    /**
     * @param older how many more were made from it before {@link #RECENT_MONTHS} and are used up; doubt reaches them all the
     *     same
     */
    public record TraceView(
            UUID lotId,
            List<Brook.TracedLot> lots,
            List<ShelfService.LinkView> links,
            List<UUID> upstream,
            List<UUID> downstream,
            Integer older) {}

    private static final int RECENT_MONTHS = 18;
    private static final int MOST_LETTERS = 1000;

    public record Quarantined(StandService.StandView stand, List<LotView> lots) {}

    private final Brook brook;
    private final PeopleService people;
    private final ShelfService shelf;
    private final Ledger ledger;
    private final StandService stands;
    private final DryingService drying;
    private final LooseningService loosening;
    private final TakenOfLots takenOf;

    TracingService(
            Brook brook,
            PeopleService people,
            ShelfService shelf,
            Ledger ledger,
            StandService stands,
            DryingService drying,
            LooseningService loosening,
            TakenOfLots takenOf) {
        this.takenOf = takenOf;
        this.drying = drying;
        this.brook = brook;
        this.people = people;
        this.shelf = shelf;
        this.ledger = ledger;
        this.stands = stands;
        this.loosening = loosening;
    }

    /** @param all with what was made long ago and is used up; a stand of many years has hundreds of these */
    @Transactional(readOnly = true)
    public TraceView trace(UUID lotId, boolean all) {
        List<Brook.Met> met = brook.met(lotId, people.today().minusMonths(RECENT_MONTHS));
        if (met.isEmpty()) {
            throw new Problem.NotFound("lot");
        }
        Predicate<UUID> shown = all ? id -> true : shown(met);
        List<Brook.Met> seen = met.stream()
                .filter(m -> !m.below() || shown.test(m.lot().id()))
                .sorted(Comparator.<Brook.Met, Stage>comparing(m -> m.lot().stage())
                        .thenComparing(m -> m.lot().code()))
                .toList();
        return new TraceView(
                lotId,
                seen.stream().map(Brook.Met::lot).toList(),
                brook.between(seen.stream().map(m -> m.lot().id()).toList()),
                ids(seen, Brook.Met::above),
                ids(seen, Brook.Met::below),
                met.size() - seen.size());
    }

    /** What is kept with all that lies between: a bottle that is still there keeps the jar it came from in the picture. */
    private Predicate<UUID> shown(List<Brook.Met> met) {
        Set<UUID> kept = Set.copyOf(ids(met, m -> m.below() && m.kept()));
        return kept.isEmpty() || kept.size() == ids(met, Brook.Met::below).size()
                ? kept::contains
                : brook.aboveAll(kept)::contains;
    }

    private static List<UUID> ids(List<Brook.Met> met, Predicate<Brook.Met> which) {
        return met.stream().filter(which).map(m -> m.lot().id()).toList();
    }

    /**
     * What a call-back reaches.
     *
     * @param lot judged over its whole descent
     * @param ids it and all that was made of it, used up or not
     * @param left of these what there is something left of
     */
    public record Reached(LotView lot, List<UUID> ids, List<LotView> left) {}

    @Transactional(readOnly = true)
    public Reached reached(UUID lotId) {
        LotView lot = shelf.lot(lotId);
        List<UUID> ids = new ArrayList<>(brook.below(lotId));
        ids.add(lotId);
        return new Reached(lot, ids, shelf.left(ids));
    }

    /** What of it, and of all that was made of it, people took or put on their skin; the latest first. */
    @Transactional(readOnly = true)
    public TakenOfLots.Page taken(UUID lotId, int page) {
        shelf.lot(lotId);
        List<UUID> reached = new ArrayList<>(brook.below(lotId));
        reached.add(lotId);
        return takenOf.page(reached, page);
    }

    /** Doubts a stand and quarantines everything made from it, in one transaction. */
    public Quarantined doubt(UUID standId, String reason, @Nullable String ifMatch) {
        StandService.StandView stand = stands.doubt(standId, reason, ifMatch);
        List<UUID> down = brook.below(standId);
        ledger.setAside(down, Product.State.QUARANTINED, stand.name() + " is doubted: " + reason.strip());
        return new Quarantined(stand, shelf.lots(down));
    }

    /** Lifts the quarantine of what comes from stands that are all certain again. */
    public Quarantined clear(UUID standId) {
        StandService.StandView stand = stands.stand(standId);
        if (stand.doubted()) {
            throw new Problem.Conflict("The stand is still doubted. Identify it again first, with a second person.");
        }
        if (stand.ground() == Site.Ground.CONTAMINATED) {
            throw new Problem.Conflict("The ground is contaminated; what grew on it stays set aside.");
        }
        return new Quarantined(stand, clearCertain(brook.below(standId)));
    }

    /** Doubts a single lot, bought or made, and sets aside it and everything made from it, in one transaction. */
    public List<LotView> doubtLot(UUID lotId, String reason, @Nullable String ifMatch) {
        said(reason);
        if (shelf.lot(lotId).stage() == Stage.STAND) {
            throw new Problem.Conflict("A stand is doubted where it stands, on its own page.");
        }
        String before = shelf.lot(lotId).doubt();
        // A second doubt is added: the first is not talked away by it.
        LotView lot = ledger.doubt(
                lotId, before == null ? reason.strip() : shortened(before + "; then: " + reason.strip()), ifMatch);
        List<UUID> set = new ArrayList<>(brook.below(lotId));
        set.add(lotId);
        ledger.setAside(
                set, Product.State.QUARANTINED, lot.name() + " " + lot.code() + " is doubted: " + reason.strip());
        return shelf.lots(set);
    }

    /** Takes the doubt about a lot back; what else is doubted upstream of a lot keeps it set aside. */
    public List<LotView> clearLot(UUID lotId, StrikeRequest request, @Nullable String ifMatch) {
        String doubt = shelf.lot(lotId).doubt();
        if (doubt == null) {
            throw new Problem.Conflict("Nobody doubts this lot.");
        }
        ledger.doubt(lotId, null, ifMatch);
        loosening.pass(Loosening.Safeguard.LOT_DOUBT, lotId, request, "it was doubted: " + doubt);
        List<UUID> set = new ArrayList<>(brook.below(lotId));
        set.add(lotId);
        return clearCertain(set);
    }

    /** Mould on the shelf: the lot is destroyed for good, whatever was made of it is set aside. */
    public List<LotView> mouldyLot(UUID lotId, @Nullable String ifMatch) {
        LotView seen = shelf.lot(lotId);
        if (seen.stage() == Stage.STAND) {
            throw new Problem.Conflict("A stand does not mould; note it at the harvest.");
        }
        // Leaves the doubt as it is; only the version that the page has seen is checked.
        LotView lot = ledger.doubt(lotId, seen.doubt(), ifMatch);
        List<UUID> down = brook.below(lotId);
        ledger.setAside(List.of(lotId), Product.State.DESTROYED, "mould on the shelf");
        ledger.setAside(down, Product.State.QUARANTINED, "mould in " + lot.name() + " " + lot.code());
        if (lot.stage() == Stage.HARVEST) {
            drying.harvestDestroyed(lotId);
        }
        List<UUID> all = new ArrayList<>(down);
        all.add(lotId);
        return shelf.lots(all);
    }

    private static String shortened(String doubt) {
        return doubt.length() <= MOST_LETTERS ? doubt : doubt.substring(0, MOST_LETTERS);
    }

    private static void said(String reason) {
        Checks.begin()
                .that(!reason.isBlank() && reason.length() <= 300, "reason", "must say why, in at most 300 letters")
                .done();
    }

    private List<LotView> clearCertain(List<UUID> ids) {
        List<UUID> certain =
                shelf.lots(ids).stream().filter(this::certain).map(LotView::id).toList();
        ledger.clear(certain);
        return shelf.lots(certain);
    }

    private boolean certain(LotView lot) {
        // Mould anywhere upstream is never cleared: nothing takes its poison away.
        return lot.state() == Product.State.QUARANTINED
                && lot.doubt() == null
                && shelf.lots(brook.above(lot.id())).stream()
                        .noneMatch(l -> l.state() == Product.State.DESTROYED
                                || l.doubt() != null
                                || l.stage() == Stage.STAND
                                        && (stands.stand(l.id()).doubted()
                                                || stands.stand(l.id()).ground() == Site.Ground.CONTAMINATED));
    }

    /** Mould: the harvest itself is destroyed, whatever was made of it is set aside. */
    @EventListener
    void on(LotMoulded moulded) {
        ledger.setAside(List.of(moulded.harvestId()), Product.State.DESTROYED, "mould on the rack");
        ledger.setAside(brook.below(moulded.harvestId()), Product.State.QUARANTINED, "mould in " + moulded.code());
    }

    /** A doubt came back: so does what it set aside. */
    @EventListener
    void on(StandDoubted doubted) {
        ledger.setAside(
                brook.below(doubted.standId()),
                Product.State.QUARANTINED,
                doubted.standName() + " is doubted: " + doubted.reason());
    }

    /** Contaminated ground: whatever came from it is set aside. */
    @EventListener
    void on(GroundCondemned condemned) {
        ledger.setAside(
                brook.below(condemned.standId()),
                Product.State.QUARANTINED,
                "the ground of " + condemned.standName() + " is contaminated");
    }
}
