package org.sallowbrook.server.identification;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.SplittableRandom;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.Danger;
import org.sallowbrook.core.herbarium.Herbarium;
import org.sallowbrook.core.herbarium.LifeStage;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.identification.Training;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.server.herbarium.HerbariumService;
import org.sallowbrook.server.household.PeopleService;
import org.sallowbrook.server.platform.Member;
import org.sallowbrook.server.platform.Once;
import org.sallowbrook.server.platform.Owned;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Rounds of the look-alike trainer for whoever is signed in. */
@Service
@Transactional
public class TrainingService {

    public record TrainingPlant(String taxon, String commonName, Danger danger) {}

    public record TrainingShown(String character, String name, String state, String words) {}

    /** @param seed makes the round; sent back with the answer */
    public record TrainingRound(
            TrainingPlant a,
            TrainingPlant b,
            LifeStage stage,
            Long seed,
            List<TrainingShown> shown,
            Integer box,
            Boolean due) {}

    public record TrainingAnswer(
            UUID id,
            String a,
            String b,
            LifeStage stage,
            Long seed,
            String said,
            @Nullable String by) {}

    public record TrainingOutcome(
            Boolean right, Boolean rightReason, String truth, List<String> by, Integer box, LocalDate dueOn) {}

    public record TrainedPair(
            TrainingPlant a, TrainingPlant b, Integer asked, Integer wrong, Integer box, LocalDate dueOn) {}

    /** @param usual error the vocabulary expects @param own counted for this member's looks */
    public record TrainedCharacter(
            String character, String name, Integer asked, Integer wrong, Double usual, Double own) {}

    public record TrainedSkills(List<TrainedPair> pairs, List<TrainedCharacter> characters) {}

    private final HerbariumService herbarium;
    private final PeopleService people;
    private final TrainingBoxes boxes;
    private final CharacterSkills skills;
    private final OwnErrors errors;
    private final Once once;

    TrainingService(
            HerbariumService herbarium,
            PeopleService people,
            TrainingBoxes boxes,
            CharacterSkills skills,
            OwnErrors errors,
            Once once) {
        this.herbarium = herbarium;
        this.people = people;
        this.boxes = boxes;
        this.skills = skills;
        this.errors = errors;
        this.once = once;
    }

    /**
     * What is due, pairs of the plants named first, then the deadly ones; when nothing is due, what comes due next.
     *
     * @param first taxa of the household's own stands
     */
    @Transactional(readOnly = true)
    public TrainingRound next(Set<String> first) {
        Herbarium cards = herbarium.herbarium();
        LocalDate today = people.today();
        Map<Training.Pair, TrainingBox> known = new HashMap<>();
        boxes.findAllByAccountId(Member.current().accountId()).forEach(b -> known.put(new Training.Pair(b.a, b.b), b));
        List<Training.Pair> pairs = Training.pairs(cards);
        // Stable: what is deadly stays before the rest within each group.
        Training.Pair pair = pairs.stream()
                .min(Comparator.comparing((Training.Pair p) -> !isDue(known.get(p), today))
                        .thenComparing(p -> !first.contains(p.a()) || !inSeason(cards, p, today))
                        .thenComparing(p -> known.containsKey(p) ? known.get(p).dueOn : LocalDate.EPOCH))
                .orElseThrow();
        long seed = new SplittableRandom().nextLong() >>> 12;
        Taxon a = herbarium.taxon(pair.a());
        Taxon b = herbarium.taxon(pair.b());
        List<LifeStage> stages = new ArrayList<>(Training.stages(cards, a, b));
        LifeStage stage = stages.stream()
                .filter(s -> a.months().getOrDefault(s, Set.of()).contains(today.getMonthValue()))
                .findFirst()
                .orElse(stages.get((int) (seed % stages.size())));
        var round = Training.round(cards, pair, stage, seed);
        TrainingBox box = known.get(pair);
        return new TrainingRound(
                plant(a),
                plant(b),
                stage,
                seed,
                round.shown().stream()
                        .map(o -> {
                            var c = Objects.requireNonNull(cards.character(o.character()));
                            return new TrainingShown(c.id(), c.name(), o.state(), c.wordsFor(o.state()));
                        })
                        .toList(),
                box == null ? 1 : box.box,
                isDue(box, today));
    }

    /** Kept once for each id; the outcome of a repeated answer is reckoned from what was said. */
    public TrainingOutcome answer(TrainingAnswer request) {
        Checks.begin()
                .that(
                        request.said().equals(request.a()) || request.said().equals(request.b()),
                        "said",
                        "must be one of the two")
                .done();
        Herbarium cards = herbarium.herbarium();
        Training.Pair pair = new Training.Pair(request.a(), request.b());
        Checks.begin()
                .that(Training.pairs(cards).contains(pair), "a", "is no pair of the trainer")
                .done();
        var round = Training.round(cards, pair, request.stage(), request.seed());
        var outcome = Training.judge(cards, round, request.said(), request.by() == null ? "" : request.by());
        UUID account = Member.current().accountId();
        TrainingBox box = boxes.findByAccountIdAndAAndB(account, pair.a(), pair.b())
                .orElseGet(() -> {
                    TrainingBox fresh = new TrainingBox(Owned.newId());
                    fresh.accountId = account;
                    fresh.a = pair.a();
                    fresh.b = pair.b();
                    return fresh;
                });
        if (!once.repeated("training", request.id(), boxes::existsById, request)) {
            box.asked++;
            box.wrong += outcome.right() ? 0 : 1;
            // Named rightly for a wrong reason is luck, and luck does not rise.
            box.box = outcome.right() && !outcome.rightReason() ? box.box : Training.nextBox(box.box, outcome.right());
            box.dueOn = Training.due(box.box, people.today());
            boxes.save(box);
            for (String character : outcome.by()) {
                errors.count(character, !outcome.right());
            }
        }
        return new TrainingOutcome(
                outcome.right(), outcome.rightReason(), round.truth(), outcome.by(), box.box, box.dueOn);
    }

    @Transactional(readOnly = true)
    public TrainedSkills mine() {
        Herbarium cards = herbarium.herbarium();
        UUID account = Member.current().accountId();
        return new TrainedSkills(
                boxes.findAllByAccountId(account).stream()
                        .filter(b ->
                                cards.taxon(b.a).isPresent() && cards.taxon(b.b).isPresent())
                        .sorted(Comparator.comparing((TrainingBox b) -> -b.wrong / (double) b.asked))
                        .map(b -> new TrainedPair(
                                plant(herbarium.taxon(b.a)),
                                plant(herbarium.taxon(b.b)),
                                b.asked,
                                b.wrong,
                                b.box,
                                b.dueOn))
                        .toList(),
                skills.findAllByAccountId(account).stream()
                        .filter(s -> s.wrong > 0 && cards.character(s.characterId) != null)
                        .map(s -> {
                            var c = Objects.requireNonNull(cards.character(s.characterId));
                            return new TrainedCharacter(
                                    c.id(),
                                    c.name(),
                                    s.asked,
                                    s.wrong,
                                    c.error(),
                                    Training.error(c.error(), s.wrong, s.asked));
                        })
                        .sorted(Comparator.comparing(TrainedCharacter::own).reversed())
                        .toList());
    }

    private static boolean isDue(@Nullable TrainingBox box, LocalDate today) {
        return box == null || !box.dueOn.isAfter(today);
    }

    private static boolean inSeason(Herbarium cards, Training.Pair pair, LocalDate today) {
        return cards.taxon(pair.a()).stream()
                .flatMap(t -> t.months().values().stream())
                .anyMatch(m -> m.contains(today.getMonthValue()));
    }

    private static TrainingPlant plant(Taxon taxon) {
        return new TrainingPlant(taxon.id(), taxon.commonName(), taxon.danger());
    }
}
