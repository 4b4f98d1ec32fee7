package org.sallowbrook.server.field;

import java.time.Clock;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.field.HarvestGate;
import org.sallowbrook.core.field.Site;
import org.sallowbrook.core.field.years.Bearing;
import org.sallowbrook.core.field.years.Count;
import org.sallowbrook.core.field.years.Outlook;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.household.Loosening;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Words;
import org.sallowbrook.server.herbarium.HerbariumService;
import org.sallowbrook.server.household.LooseningService;
import org.sallowbrook.server.household.PeopleService;
import org.sallowbrook.server.household.SchoolService;
import org.sallowbrook.server.platform.Member;
import org.sallowbrook.server.platform.Once;
import org.sallowbrook.server.platform.Problem;
import org.sallowbrook.server.platform.Range;
import org.sallowbrook.server.platform.StrikeRequest;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** How a stand fares from year to year, by its counts and by what was taken. */
@Service
@Transactional
public class YearsService {

    /** @param plants or stems, counted in the same way each time */
    public record PlantCountRequest(
            UUID id, LocalDate on, Integer plants, Boolean drought, Boolean pickedByOthers, String words) {}

    public record PlantCountView(
            UUID id,
            LocalDate on,
            Integer plants,
            Boolean drought,
            Boolean pickedByOthers,
            String words,
            String countedBy) {}

    /** @param after years from now, as shares of today's number */
    public record YearView(Integer after, Double middle, Range band) {}

    /**
     * @param takenSoFar of the part a year, while it was counted
     * @param planned of the part a year, from now on
     * @param bears under which the middle does not fall; null where too little was counted
     */
    public record YearsView(
            Taxon.@Nullable Part part,
            Double takenSoFar,
            Double planned,
            Outlook.@Nullable Word word,
            List<YearView> line,
            @Nullable Double bears,
            List<String> because,
            List<PlantCountView> counts,
            List<PastHarvestView> past) {}

    /** @param shareTaken of all that the stand had, 0..1 */
    public record PastHarvestView(
            UUID id,
            Taxon.Part part,
            Integer year,
            @Nullable Double massG,
            @Nullable Double shareTaken,
            String words,
            String notedBy) {}

    private static final int SHOWN = 60;

    private final Stands stands;
    private final StandCounts counts;
    private final Harvests harvests;
    private final PastHarvests past;
    private final HerbariumService herbarium;
    private final SchoolService schools;
    private final PeopleService people;
    private final LooseningService loosening;
    private final Once once;
    private final Clock clock;

    YearsService(
            Stands stands,
            StandCounts counts,
            Harvests harvests,
            PastHarvests past,
            HerbariumService herbarium,
            SchoolService schools,
            PeopleService people,
            LooseningService loosening,
            Once once,
            Clock clock) {
        this.stands = stands;
        this.counts = counts;
        this.harvests = harvests;
        this.past = past;
        this.herbarium = herbarium;
        this.schools = schools;
        this.people = people;
        this.loosening = loosening;
        this.once = once;
        this.clock = clock;
    }

    public PlantCountView count(UUID standId, PlantCountRequest request) {
        find(standId);
        if (once.repeated("count", request.id(), counts::existsById, standId, request)) {
            return view(counts.findById(request.id()).orElseThrow(() -> new Problem.NotFound("count")));
        }
        LocalDate today = people.today();
        Checks.begin()
                .range("plants", request.plants(), 0, Count.MOST)
                .that(!request.on().isAfter(today), "on", "must not be in the future")
                .that(request.on().isAfter(today.minusYears(50)), "on", "must be within fifty years")
                .that(request.words().length() <= 300, "words", "must have at most 300 letters")
                .done();
        StandCount count = new StandCount(request.id());
        count.standId = standId;
        count.onDay = request.on();
        count.plants = request.plants();
        count.drought = request.drought();
        count.pickedByOthers = request.pickedByOthers();
        count.words = request.words().strip();
        count.countedBy = Member.current().displayName();
        return view(counts.saveAndFlush(count));
    }

    public void strike(UUID standId, UUID id, StrikeRequest request) {
        StandCount count = counts.findById(id)
                .filter(c -> c.standId.equals(standId) && !c.struck())
                .orElseThrow(() -> new Problem.NotFound("count"));
        String reason = loosening.pass(
                Loosening.Safeguard.STAND_COUNT,
                standId,
                request,
                Words.figure(count.plants) + " plants counted on " + Words.day(count.onDay) + " by " + count.countedBy);
        count.strike(clock.instant(), reason);
        counts.saveAndFlush(count);
    }

    /** It counts against what may be picked: it is taken back as a count is. */
    public void strikePast(UUID standId, UUID id, StrikeRequest request) {
        PastHarvest harvest = past.findById(id)
                .filter(h -> h.standId.equals(standId))
                .orElseThrow(() -> new Problem.NotFound("harvest"));
        loosening.pass(
                Loosening.Safeguard.PAST_HARVEST,
                standId,
                request,
                Words.lower(harvest.part) + " picked in " + harvest.inYear
                        + (harvest.massG == null ? "" : ", " + Words.grams(harvest.massG))
                        + (harvest.shareTaken == null ? "" : ", " + Words.figure(harvest.shareTaken * 100) + " % of it")
                        + ", read in by " + harvest.notedBy);
        past.delete(harvest);
    }

    /**
     * @param part null for the first the card uses
     * @param planned share a year; null for what the household's way of picking would take at most
     */
    @Transactional(readOnly = true)
    public YearsView years(UUID standId, Taxon.@Nullable Part part, @Nullable Double planned) {
        Stand stand = find(standId);
        List<PlantCountView> seen =
                latest(standId).stream().map(YearsService::view).toList();
        Taxon taxon = stand.taxonId == null ? null : herbarium.taxon(stand.taxonId);
        if (taxon == null || taxon.parts().isEmpty()) {
            return new YearsView(null, 0.0, 0.0, null, List.of(), null, List.of(), seen, before(standId));
        }
        Taxon.Part of = part == null ? taxon.parts().get(0).part() : part;
        double most = taxon.usedPart(of)
                .map(p -> HarvestGate.quota(p, schools.chosen()))
                .orElse(0.0);
        double plan = planned == null ? most : planned;
        Outlook outlook = outlook(stand, taxon, of, plan);
        return new YearsView(
                of,
                takenSoFar(stand, of),
                plan,
                outlook.word(),
                outlook.line().stream()
                        .map(y -> new YearView(y.after(), y.middle(), Range.of(y.band())))
                        .toList(),
                outlook.bears(),
                outlook.because(),
                seen,
                before(standId));
    }

    private List<PastHarvestView> before(UUID standId) {
        return past.findAllByStandIdOrderByInYearDescIdDesc(standId, Limit.of(SHOWN)).stream()
                .map(h -> new PastHarvestView(h.id, h.part, h.inYear, h.massG, h.shareTaken, h.words, h.notedBy))
                .toList();
    }

    /** The site as its counts have it: what declines by them is declining, whatever was said of it. */
    Site site(Stand stand, Taxon taxon, Taxon.Part part) {
        Site said = stand.site();
        double taken = takenSoFar(stand, part);
        return outlook(stand, taxon, part, taken).word() == Outlook.Word.DECLINES
                ? new Site(
                        said.ground(),
                        said.permission(),
                        Site.Plenty.DECLINING,
                        said.protectedSpecies(),
                        said.neighbour())
                : said;
    }

    private Outlook outlook(Stand stand, Taxon taxon, Taxon.Part part, double planned) {
        return Outlook.of(
                latest(stand.id).stream().map(StandCount::toCore).toList(),
                Bearing.of(taxon.lifeForm()),
                part,
                takenSoFar(stand, part),
                planned);
    }

    /** A year, between the first and the last count. */
    private double takenSoFar(Stand stand, Taxon.Part part) {
        List<StandCount> seen = latest(stand.id);
        if (seen.size() < 2) {
            return 0;
        }
        LocalDate first = seen.get(seen.size() - 1).onDay;
        LocalDate last = seen.get(0).onDay;
        double years = Math.max(1, ChronoUnit.DAYS.between(first, last) / 365.25);
        return Math.min(
                Outlook.MOST_TAKEN,
                (harvests.sharePicked(stand.id, part, first, last)
                                + past.sharePicked(stand.id, part, first.getYear(), last.getYear()))
                        / years);
    }

    private List<StandCount> latest(UUID standId) {
        return counts.findAllByStandIdOrderByOnDayDescIdDesc(standId, Limit.of(SHOWN));
    }

    private Stand find(UUID id) {
        return stands.findById(id).orElseThrow(() -> new Problem.NotFound("stand"));
    }

    private static PlantCountView view(StandCount c) {
        return new PlantCountView(c.id, c.onDay, c.plants, c.drought, c.pickedByOthers, c.words, c.countedBy);
    }
}
