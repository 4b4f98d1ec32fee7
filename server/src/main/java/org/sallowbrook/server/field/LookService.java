package org.sallowbrook.server.field;

import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.LifeStage;
import org.sallowbrook.core.herbarium.LookingCondition;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.household.Loosening;
import org.sallowbrook.core.identification.Identification;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.CoreVersion;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Words;
import org.sallowbrook.server.herbarium.HerbariumService;
import org.sallowbrook.server.household.LooseningService;
import org.sallowbrook.server.household.PeopleService;
import org.sallowbrook.server.household.SecondService;
import org.sallowbrook.server.identification.OwnErrors;
import org.sallowbrook.server.platform.Member;
import org.sallowbrook.server.platform.Once;
import org.sallowbrook.server.platform.Problem;
import org.sallowbrook.server.platform.StrikeRequest;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What was made out about a stand by looking at it. */
@Service
@Transactional
public class LookService {

    public record ObservationView(String character, String state) {}

    /**
     * @param secondObserver who else looked, in words, for the record
     * @param second who looked too and counts: an account that signed, or somebody the keeper has named; needed to clear a doubt
     */
    public record IdentificationRequest(
            UUID id,
            LocalDate on,
            LifeStage stage,
            @Nullable Set<LookingCondition> conditions,
            List<ObservationView> observations,
            @Nullable List<ObservationView> again,
            @Nullable Boolean otherPlants,
            @Nullable String secondObserver,
            @Nullable UUID second,
            @Nullable String book) {}

    /** @param goesOn whether what was seen may be taken up again: nothing was certain, and the plant is still much the same */
    public record IdentificationView(
            UUID id,
            LocalDate on,
            LifeStage stage,
            Set<LookingCondition> conditions,
            Identification.Status status,
            @Nullable String taxonId,
            @Nullable String genus,
            List<ObservationView> observations,
            List<ObservationView> again,
            Boolean otherPlants,
            String identifiedBy,
            @Nullable String secondObserver,
            @Nullable String book,
            Boolean goesOn) {}

    private final StandService stands;
    private final SecondService seconds;
    private final LooseningService loosening;
    private final StandIdentifications identifications;
    private final LookReader looks;
    private final Harvests harvests;
    private final OwnErrors ownErrors;
    private final HerbariumService herbarium;
    private final PeopleService people;
    private final Once once;
    private final Clock clock;

    LookService(
            StandService stands,
            SecondService seconds,
            LooseningService loosening,
            StandIdentifications identifications,
            LookReader looks,
            Harvests harvests,
            OwnErrors ownErrors,
            HerbariumService herbarium,
            PeopleService people,
            Once once,
            Clock clock) {
        this.stands = stands;
        this.seconds = seconds;
        this.loosening = loosening;
        this.identifications = identifications;
        this.looks = looks;
        this.harvests = harvests;
        this.ownErrors = ownErrors;
        this.herbarium = herbarium;
        this.people = people;
        this.once = once;
        this.clock = clock;
    }

    /** Keeps what was seen; the verdict is reckoned here, never taken from the client. Clears a doubt when CONFIRMED. */
    public IdentificationView identify(UUID standId, IdentificationRequest request) {
        Stand stand = stands.find(standId);
        if (once.repeated("identification", request.id(), identifications::existsById, standId, request)) {
            return looks.view(
                    identifications.findById(request.id()).orElseThrow(() -> new Problem.NotFound("identification")));
        }
        looks.notInFuture(request.on());
        Checks.begin()
                .that(length(request.secondObserver()) <= 120, "secondObserver", "must have at most 120 letters")
                .that(length(request.book()) <= 300, "book", "must have at most 300 letters")
                .done();
        Set<LookingCondition> conditions = request.conditions() == null ? Set.of() : request.conditions();
        List<ObservationView> again = request.again() == null ? List.of() : request.again();
        Identification.Result result = herbarium
                .identifier()
                .identify(new Identification.Request(
                        request.on().getMonthValue(),
                        request.stage(),
                        people.region(),
                        conditions,
                        observations(request.observations()),
                        Set.of(),
                        Set.of(),
                        observations(again),
                        ownErrors.mine()));
        // Whoever knew no name has one now; of a plant that wants two looks this is the first.
        boolean halfway = result.kept() == Identification.Status.CONFIRMED
                || result.kept() == Identification.Status.SECOND_WANTED;
        if (stand.taxonId == null && halfway) {
            stand.taxonId = result.verdict().taxon();
        }
        boolean sameTaxon = stand.taxonId().equals(result.verdict().taxon()) || sameGenus(stand, result.verdict());
        StandIdentification saved = new StandIdentification(request.id());
        saved.standId = standId;
        saved.forTaxon = stand.taxonId();
        saved.onDay = request.on();
        saved.keptAt = clock.instant();
        saved.stage = request.stage();
        saved.status = halfway && !sameTaxon ? Identification.Status.NOT_YET : result.kept();
        saved.taxonId = result.verdict().taxon();
        saved.leads = result.leadsStrangers();
        saved.conditions =
                String.join(",", conditions.stream().map(Enum::name).sorted().toList());
        saved.look = StoredLook.DOCUMENT.write(new StoredLook(
                StoredLook.Seen.of(request.observations()),
                StoredLook.Seen.of(again),
                StoredLook.Verdict.of(result.verdict())));
        saved.coreVersion = CoreVersion.CURRENT;
        saved.identifiedBy = Member.current().displayName();
        saved.lookedBy = Member.current().accountId();
        saved.otherPlants = Boolean.TRUE.equals(request.otherPlants());
        saved.secondObserver = request.secondObserver();
        saved.book = request.book();
        for (ObservationView second : again) {
            boolean asBefore = request.observations().contains(second);
            boolean asked = asBefore
                    || request.observations().stream()
                            .anyMatch(o -> o.character().equals(second.character()));
            if (asked) {
                ownErrors.count(second.character(), !asBefore);
            }
        }
        if (saved.status == Identification.Status.CONFIRMED && stand.doubted) {
            saved.secondObserver = clearDoubt(stand, request);
            saved.clearedReason = stand.doubtReason;
            saved.clearedAt = stand.doubtedAt;
            stand.doubted = false;
            stand.doubtReason = null;
            stand.doubtedAt = null;
        }
        return looks.view(identifications.saveAndFlush(saved));
    }

    private static List<Identification.Observation> observations(List<ObservationView> seen) {
        return seen.stream()
                .map(o -> new Identification.Observation(o.character(), o.state()))
                .toList();
    }

    /** By a look of two people, made after the doubt arose. @return who else looked */
    private String clearDoubt(Stand stand, IdentificationRequest request) {
        String second = seconds.observed(request.second(), stand.id);
        if (second == null) {
            throw new Problem.Refused(List.of(Finding.stop(
                    "SECOND_OBSERVER",
                    "This stand was doubted; one pair of eyes is not enough to clear it.",
                    "Somebody else who looked too signs here with a name and password of their own, or is chosen from"
                            + " those whom the keeper has named as second observers.")));
        }
        LocalDate doubted = stand.doubtedAt == null
                ? people.today()
                : stand.doubtedAt.atZone(people.zone()).toLocalDate();
        if (request.on().isBefore(doubted)) {
            throw new Problem.Refused(List.of(Finding.stop(
                    "LOOKED_BEFORE_DOUBT",
                    "This look is of " + Words.day(request.on()) + "; the doubt arose on " + Words.day(doubted) + ".",
                    "Go and look again, two of you.")));
        }
        return second;
    }

    private static int length(@Nullable String text) {
        return text == null ? 0 : text.length();
    }

    /** Only the genus is certain, and the stand's card says the whole genus serves. */
    private boolean sameGenus(Stand stand, Identification.Verdict verdict) {
        if (stand.taxonId == null) {
            return false;
        }
        Taxon taxon = herbarium.taxon(stand.taxonId);
        return taxon.genusEnough() && taxon.genus().equals(verdict.genus());
    }

    @Transactional(readOnly = true)
    public List<IdentificationView> identifications(UUID standId) {
        stands.find(standId);
        return identifications.findAllByStandIdOrderByOnDayDescKeptAtDesc(standId).stream()
                .map(looks::view)
                .toList();
    }

    /** A look that was wrong leaves the verdict. What was picked on the strength of it is not saved by that. */
    public StandService.StandView strikeLook(UUID standId, UUID look, StrikeRequest request) {
        Stand stand = stands.find(standId);
        StandIdentification found = identifications
                .findById(look)
                .filter(i -> i.standId.equals(standId) && !i.struck())
                .orElseThrow(() -> new Problem.NotFound("look"));
        if (harvests.existsByStandIdAndOnDayGreaterThanEqual(standId, found.onDay)) {
            throw new Problem.Conflict(
                    "Something was picked here since; if the plant is in doubt, doubt the stand: that sets"
                            + " aside all that was made from it.");
        }
        // A look that was certain only ever opened something. Any other holds something back, half a look as well: it
        // speaks
        // in place of a certain one before it.
        String reason = found.status == Identification.Status.CONFIRMED
                ? request.checked()
                : loosening.pass(
                        Loosening.Safeguard.LOOK,
                        standId,
                        request,
                        "a look of " + Words.day(found.onDay) + " by " + found.identifiedBy + " came to "
                                + switch (found.status) {
                                    case STOP -> "STOP";
                                    case SECOND_WANTED -> "half a look";
                                    case NOT_YET, CONFIRMED -> "not yet";
                                });
        found.strike(clock.instant(), reason);
        identifications.saveAndFlush(found);
        if (found.clearedReason != null && !stand.doubted) {
            stands.doubtAgain(stand, found.clearedReason, found.clearedAt == null ? clock.instant() : found.clearedAt);
        }
        return stands.view(stand);
    }
}
