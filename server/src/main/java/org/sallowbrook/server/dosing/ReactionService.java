package org.sallowbrook.server.dosing;

import java.time.Clock;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.dosing.Reaction;
import org.sallowbrook.core.household.Loosening;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Words;
import org.sallowbrook.server.herbarium.HerbariumService;
import org.sallowbrook.server.household.LooseningService;
import org.sallowbrook.server.household.PeopleService;
import org.sallowbrook.server.platform.Member;
import org.sallowbrook.server.platform.Once;
import org.sallowbrook.server.platform.Problem;
import org.sallowbrook.server.platform.StrikeRequest;
import org.sallowbrook.server.shelf.Products;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What happened to somebody after something was taken: noted, and a course ended by it where it must. */
@Service
@Transactional
public class ReactionService {

    /**
     * @param courseId of what it came after; null where it was none
     * @param taxa plants it may have come from; null to take those of the course
     * @param hoursAfter null where nobody noticed
     */
    public record ReactionRequest(
            UUID id,
            UUID personId,
            @Nullable UUID courseId,
            @Nullable List<String> taxa,
            Set<Reaction.Sign> signs,
            Reaction.Degree degree,
            @Nullable Double hoursAfter,
            LocalDate on,
            String words) {}

    public record PlantView(String taxonId, String commonName) {}

    public record ReactionView(
            UUID id,
            UUID personId,
            String person,
            @Nullable UUID courseId,
            List<PlantView> plants,
            List<Reaction.Sign> signs,
            Reaction.Degree degree,
            @Nullable Double hoursAfter,
            LocalDate on,
            String said,
            String words,
            String notedBy) {}

    /** @param findings what is to be done now */
    public record Noted(ReactionView reaction, Boolean courseEnded, List<Finding> findings) {}

    static final int SHOWN = 50;

    private final Reactions reactions;
    private final Tolerance tolerance;
    private final LooseningService loosening;
    private final Courses courses;
    private final CourseService service;
    private final Products products;
    private final HerbariumService herbarium;
    private final PeopleService people;
    private final Once once;
    private final Clock clock;

    ReactionService(
            Reactions reactions,
            Tolerance tolerance,
            LooseningService loosening,
            Courses courses,
            CourseService service,
            Products products,
            HerbariumService herbarium,
            PeopleService people,
            Once once,
            Clock clock) {
        this.reactions = reactions;
        this.tolerance = tolerance;
        this.loosening = loosening;
        this.courses = courses;
        this.service = service;
        this.products = products;
        this.herbarium = herbarium;
        this.people = people;
        this.once = once;
        this.clock = clock;
    }

    public Noted note(ReactionRequest request) {
        people.one(request.personId());
        if (once.repeated("reaction", request.id(), reactions::existsById, request)) {
            return noted(find(request.id()));
        }
        LocalDate today = people.today();
        CourseEntity course = request.courseId() == null
                ? null
                : courses.findById(request.courseId())
                        .filter(c -> c.personId.equals(request.personId()))
                        .orElseThrow(() -> new Problem.NotFound("course of this person"));
        Set<String> taxa = new LinkedHashSet<>(request.taxa() == null ? List.of() : request.taxa());
        if (taxa.isEmpty() && course != null) {
            products.of(course.lotId).herbs().forEach(h -> taxa.add(h.taxon().id()));
        }
        taxa.forEach(herbarium::taxon);
        Checks.begin()
                .that(!taxa.isEmpty() && taxa.size() <= 12, "taxa", "must name one to twelve plants, or a course")
                .that(!request.signs().isEmpty(), "signs", "must name at least one")
                .that(
                        request.hoursAfter() == null || request.hoursAfter() >= 0 && request.hoursAfter() <= 2000,
                        "hoursAfter",
                        "must be from 0 to 2000")
                .that(!request.on().isAfter(today), "on", "must not be in the future")
                .that(request.on().isAfter(today.minusYears(20)), "on", "must be within twenty years")
                .that(request.words().length() <= 500, "words", "must have at most 500 letters")
                .done();
        ReactionEntity entity = new ReactionEntity(request.id());
        entity.personId = request.personId();
        entity.courseId = request.courseId();
        entity.of(taxa, request.signs());
        entity.degree = request.degree();
        entity.hoursAfter = request.hoursAfter();
        entity.onDay = request.on();
        entity.words = request.words().strip();
        entity.notedBy = Member.current().displayName();
        reactions.saveAndFlush(entity);
        if (course != null
                && course.status == CourseEntity.Status.RUNNING
                && tolerance.read(entity).ends()) {
            service.end(course.id, String.valueOf(course.version));
        }
        return noted(entity);
    }

    @Transactional(readOnly = true)
    public List<ReactionView> of(UUID personId) {
        people.one(personId);
        return reactions.findAllByPersonIdOrderByOnDayDescIdDesc(personId).stream()
                .map(this::view)
                .toList();
    }

    /** Plants that somebody must not be offered, each with what happened. */
    @Transactional(readOnly = true)
    public Map<String, String> notBorne(UUID personId) {
        Map<String, String> all = new HashMap<>();
        for (Reaction.Noted r : tolerance.history(personId)) {
            if (r.ends()) {
                r.plants().forEach(t -> all.putIfAbsent(t.id(), "not borne: " + r.words()));
            }
        }
        return all;
    }

    /** Everybody's experience with a plant, the newest first. */
    @Transactional(readOnly = true)
    public List<ReactionView> with(String taxonId) {
        herbarium.taxon(taxonId);
        return reactions.with(taxonId, Limit.of(SHOWN)).stream().map(this::view).toList();
    }

    /** It was not that plant, or not that person: what was built on it is judged without it. */
    public List<ReactionView> strike(UUID id, StrikeRequest request) {
        ReactionEntity entity = find(id);
        String reason = loosening.pass(
                Loosening.Safeguard.REACTION,
                entity.personId,
                request,
                "a reaction of " + Words.day(entity.onDay) + " to " + plants(entity) + ": "
                        + tolerance.read(entity).words(),
                entity.taxonIds());
        entity.strike(clock.instant(), reason);
        reactions.saveAndFlush(entity);
        return of(entity.personId);
    }

    private String plants(ReactionEntity r) {
        return r.taxonIds().stream().map(t -> herbarium.taxon(t).commonName()).collect(Collectors.joining(", "));
    }

    private ReactionEntity find(UUID id) {
        return reactions.findById(id).filter(r -> !r.struck()).orElseThrow(() -> new Problem.NotFound("reaction"));
    }

    private Noted noted(ReactionEntity entity) {
        boolean ended = entity.courseId != null
                && courses.findById(entity.courseId)
                        .filter(c -> c.status == CourseEntity.Status.ENDED)
                        .isPresent();
        return new Noted(view(entity), ended, Reaction.now(tolerance.read(entity)));
    }

    private ReactionView view(ReactionEntity r) {
        return new ReactionView(
                r.id,
                r.personId,
                people.one(r.personId).name(),
                r.courseId,
                r.taxonIds().stream()
                        .map(t -> new PlantView(t, herbarium.taxon(t).commonName()))
                        .toList(),
                r.seen().stream().sorted().toList(),
                r.degree,
                r.hoursAfter,
                r.onDay,
                tolerance.read(r).words(),
                r.words,
                r.notedBy);
    }
}
