package org.sallowbrook.server.herbarium;

import com.fasterxml.jackson.annotation.JsonUnwrapped;
import jakarta.servlet.http.HttpServletResponse;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.CharacterDefinition;
import org.sallowbrook.core.herbarium.CharacterDefinition.Organ;
import org.sallowbrook.core.herbarium.Danger;
import org.sallowbrook.core.herbarium.Figures;
import org.sallowbrook.core.herbarium.Found;
import org.sallowbrook.core.herbarium.Frequency;
import org.sallowbrook.core.herbarium.Group;
import org.sallowbrook.core.herbarium.Herbarium;
import org.sallowbrook.core.herbarium.LifeStage;
import org.sallowbrook.core.herbarium.LookingCondition;
import org.sallowbrook.core.herbarium.Source;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.herbarium.Telling;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.Severity;
import org.sallowbrook.server.documents.Paper;
import org.sallowbrook.server.platform.Range;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.context.request.ServletWebRequest;

@RestController
@RequestMapping("/api/herbarium")
class HerbariumController {

    /** @param foundBy the name that matched, when it is not the one shown; null when nothing was searched */
    /** @param gatheredIn months in which one of its parts is gathered, at the reference latitude */
    record TaxonSummary(
            String id,
            String name,
            String commonName,
            Danger danger,
            @Nullable TakenForView takenFor,
            Boolean draft,
            Group group,
            List<Taxon.Part> parts,
            List<Integer> gatheredIn,
            @Nullable FoundView foundBy) {}

    /** The most dangerous plant it is taken for. */
    record TakenForView(String taxon, String commonName, Danger danger) {}

    record FoundView(String name, Found.Kind kind, Integer slips) {}

    record StateView(String state, String words, Frequency.Word frequency, Double share) {}

    record ShownView(
            String character,
            String name,
            Organ organ,
            List<LifeStage> stages,
            List<LookingCondition> under,
            List<StateView> states) {}

    record LookAlikeView(
            String taxon,
            String commonName,
            Danger danger,
            List<String> decisive,
            List<LifeStage> tellable,
            String tells) {}

    /** @param figure by which it is ticked */
    record SourceView(String title, Integer year, Source.Evidence evidence, Source.Review review, String figure) {
        static SourceView of(Source s, String figure) {
            return new SourceView(s.title(), s.year(), s.evidence(), s.review(), figure);
        }
    }

    record DoseView(
            String use,
            Taxon.Route route,
            String form,
            Integer fromAgeYears,
            Range driedGPerDay,
            @Nullable Integer mostDays,
            SourceView source) {}

    record SpiritView(Double ratio, Double menstruumPercent, SourceView source) {}

    record TeaView(String method, Double minutes, Double gramsPerCup, Double cupMl, SourceView source) {}

    record PartView(
            Taxon.Part part,
            String moment,
            List<LifeStage> stages,
            List<Integer> months,
            Double sharePerPlant,
            Double shareOfStand,
            @Nullable Range degreeDays,
            @Nullable Integer leastAgeYears,
            Taxon.@Nullable Frost frost,
            @Nullable Range freshMoisture,
            @Nullable Range bulkDensityGPerMl,
            @Nullable Range freshBulkDensityGPerMl,
            @Nullable Double dryAtC,
            @Nullable Integer storageMonths,
            @Nullable Integer ageingMonths,
            Boolean aromatic,
            List<Taxon.Route> routes,
            String method,
            String tools,
            @Nullable SpiritView spirit,
            @Nullable TeaView tea,
            List<DoseView> doses,
            List<ContentView> contents) {}

    /** How much of a constituent it holds, and the most of that. */
    record ContentView(
            Taxon.Constituent constituent,
            Range mgPerG,
            @Nullable Double mostMgPerDay,
            @Nullable Double mostMgPerKgPerDay,
            String source) {}

    record UseView(
            String name,
            Taxon.Route route,
            Taxon.Potency potency,
            List<Taxon.Part> parts,
            Boolean grave,
            SourceView source) {}

    record FoodView(String what, String limit) {}

    record HazardView(Taxon.Hazard kind, String words) {}

    record CautionView(
            Taxon.Subject subject,
            String value,
            Taxon.CautionStatus status,
            @Nullable Severity severity,
            String effect,
            SourceView source) {}

    record MonthsView(LifeStage stage, List<Integer> months) {}

    record TaxonView(
            String id,
            @JsonUnwrapped Taxon.Naming naming,
            @JsonUnwrapped Taxon.Growth growth,
            Danger danger,
            @Nullable TakenForView takenFor,
            Boolean draft,
            List<String> missing,
            Boolean lookAlikesChecked,
            List<HazardView> hazards,
            String washing,
            List<MonthsView> months,
            List<ShownView> characters,
            List<LookAlikeView> lookAlikes,
            List<PartView> parts,
            List<Taxon.Constituent> constituents,
            List<String> actions,
            List<UseView> uses,
            List<FoodView> foods,
            List<CautionView> cautions,
            SourceView source) {}

    record CharacterStateView(String id, String words) {}

    record CharacterView(
            String id,
            String name,
            Organ organ,
            String howToLook,
            List<LifeStage> stages,
            List<Group> groups,
            List<LookingCondition> notUnder,
            Boolean scent,
            Integer cost,
            List<CharacterStateView> states) {}

    private final HerbariumService herbarium;

    HerbariumController(HerbariumService herbarium) {
        this.herbarium = herbarium;
    }

    @GetMapping("/taxa")
    List<TaxonSummary> taxa(@RequestParam(required = false) @Nullable String q) {
        Herbarium all = herbarium.herbarium();
        if (q == null || q.isBlank()) {
            return all.taxa().stream()
                    .sorted(Comparator.comparing(Taxon::commonName, String.CASE_INSENSITIVE_ORDER))
                    .map(t -> summary(t, null))
                    .toList();
        }
        Checks.begin()
                .that(q.length() <= 120, "q", "must have at most 120 letters")
                .done();
        return all.search(q).stream()
                .map(f -> summary(f.taxon(), new FoundView(f.name(), f.kind(), f.slips())))
                .toList();
    }

    private TaxonSummary summary(Taxon t, @Nullable FoundView found) {
        return new TaxonSummary(
                t.id(),
                t.name(),
                t.commonName(),
                t.danger(),
                takenFor(t),
                t.draft(),
                t.group(),
                t.parts().stream().map(Taxon.UsedPart::part).toList(),
                t.parts().stream()
                        .flatMap(p -> p.gathering().months().stream())
                        .distinct()
                        .sorted()
                        .toList(),
                found);
    }

    private @Nullable TakenForView takenFor(Taxon t) {
        return herbarium
                .herbarium()
                .worstTakenFor(t)
                .map(w -> new TakenForView(w.id(), w.commonName(), w.danger()))
                .orElse(null);
    }

    /** @param decisive tells the listed pair for sure; @param here what the first shows, in words */
    record TellView(String character, String name, Organ organ, Boolean decisive, String here, String there) {}

    /** @param tellable whether that is enough to pick by, should one of them be dangerous */
    record ComparisonView(LifeStage stage, Boolean tellable, List<TellView> tells) {}

    /** What tells two plants apart at a stage. */
    @GetMapping("/taxa/{id}/compare/{other}")
    ComparisonView compare(@PathVariable String id, @PathVariable String other, @RequestParam LifeStage stage) {
        Herbarium all = herbarium.herbarium();
        Taxon a = herbarium.taxon(id);
        Taxon b = herbarium.taxon(other);
        List<String> decisive =
                a.lookAlike(other).map(Taxon.LookAlike::decisive).orElse(List.of());
        List<TellView> tells = new ArrayList<>();
        for (String character : Telling.between(all, a, b, stage)) {
            CharacterDefinition c = java.util.Objects.requireNonNull(all.character(character));
            tells.add(new TellView(
                    character,
                    c.name(),
                    c.organ(),
                    decisive.contains(character),
                    TeachingSheet.words(a, c, stage),
                    TeachingSheet.words(b, c, stage)));
        }
        tells.sort(Comparator.comparing(TellView::decisive).reversed());
        return new ComparisonView(stage, Telling.enough(all, a, b, stage), tells);
    }

    record DrawingView(
            String taxon,
            String commonName,
            String name,
            Danger danger,
            Group group,
            LifeStage stage,
            Map<String, String> states) {}

    /** What each plant usually shows at the stage at which it shows most, for a sheet of drawings. */
    @GetMapping("/drawings")
    List<DrawingView> drawings(@RequestParam(required = false) @Nullable LifeStage stage) {
        return herbarium.herbarium().taxa().stream()
                .filter(t -> stage == null || t.months().containsKey(stage))
                .sorted(Comparator.comparing(Taxon::commonName, String.CASE_INSENSITIVE_ORDER))
                .map(t -> {
                    LifeStage at = stage == null ? mostTelling(t) : stage;
                    return new DrawingView(t.id(), t.commonName(), t.name(), t.danger(), t.group(), at, t.usual(at));
                })
                .toList();
    }

    private static LifeStage mostTelling(Taxon t) {
        if (t.months().containsKey(LifeStage.FLOWERING)) {
            return LifeStage.FLOWERING;
        }
        return t.months().keySet().stream()
                .max(Comparator.comparingInt(s -> t.usual(s).size()))
                .orElse(LifeStage.LEAFY);
    }

    @GetMapping("/taxa/{id}")
    TaxonView taxon(@PathVariable String id) {
        return view(herbarium.taxon(id));
    }

    /** A plant for the wall. */
    @GetMapping(value = "/taxa/{id}/wall.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<byte[]> wall(@PathVariable String id) {
        return Paper.response(WallCard.of(herbarium.herbarium(), herbarium.taxon(id)), id);
    }

    /** A plant beside those it is taken for, to teach by. */
    @GetMapping(value = "/taxa/{id}/teaching.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<byte[]> teaching(@PathVariable String id, @RequestParam LifeStage stage) {
        return Paper.response(TeachingSheet.of(herbarium.herbarium(), herbarium.taxon(id), stage), id + "-look-alikes");
    }

    /** Every card whole, for a device that goes where there is no line. */
    @GetMapping("/cards")
    @Nullable
    List<TaxonView> cards(ServletWebRequest request, HttpServletResponse response) {
        // The device may keep them, and asks each time whether they are still these.
        response.setHeader(HttpHeaders.CACHE_CONTROL, "private, no-cache");
        if (request.checkNotModified(herbarium.revision())) {
            return null;
        }
        return herbarium.herbarium().taxa().stream().map(this::view).toList();
    }

    private TaxonView view(Taxon t) {
        return new TaxonView(
                t.id(),
                t.naming(),
                t.growth(),
                t.danger(),
                takenFor(t),
                t.draft(),
                Herbarium.missing(t),
                t.lookAlikesChecked(),
                t.hazards().entrySet().stream()
                        .sorted(Map.Entry.comparingByKey())
                        .map(e -> new HazardView(e.getKey(), e.getValue()))
                        .toList(),
                t.washing(),
                months(t),
                t.characters().stream().map(this::shown).toList(),
                t.lookAlikes().stream().map(this::lookAlike).toList(),
                t.parts().stream().map(HerbariumController::part).toList(),
                t.constituents().stream().sorted().toList(),
                t.actions().stream().map(Taxon.Action::name).toList(),
                t.uses().stream()
                        .map(u -> new UseView(
                                u.name(),
                                u.route(),
                                u.potency(),
                                u.parts().stream().sorted().toList(),
                                u.grave(),
                                SourceView.of(u.source(), Figures.of(u))))
                        .toList(),
                t.foods().stream().map(f -> new FoodView(f.what(), f.limit())).toList(),
                t.cautions().stream()
                        .map(c -> new CautionView(
                                c.subject(),
                                c.value(),
                                c.status(),
                                c.severity(),
                                c.effect(),
                                SourceView.of(c.source(), Figures.of(c))))
                        .toList(),
                SourceView.of(t.source(), Figures.DESCRIPTION));
    }

    @GetMapping("/characters")
    List<CharacterView> characters() {
        return herbarium.herbarium().characters().stream()
                .map(c -> new CharacterView(
                        c.id(),
                        c.name(),
                        c.organ(),
                        c.howToLook(),
                        c.stages().stream().sorted().toList(),
                        c.groups().stream().sorted().toList(),
                        c.notUnder().stream().sorted().toList(),
                        c.scent(),
                        c.cost(),
                        c.states().stream()
                                .map(s -> new CharacterStateView(s.id(), s.words()))
                                .toList()))
                .toList();
    }

    private static List<MonthsView> months(Taxon t) {
        List<MonthsView> months = new ArrayList<>();
        for (LifeStage stage : LifeStage.values()) {
            var of = t.months().get(stage);
            if (of != null) {
                months.add(new MonthsView(stage, of.stream().sorted().toList()));
            }
        }
        return months;
    }

    private ShownView shown(Taxon.Shown s) {
        CharacterDefinition c = herbarium.herbarium().character(s.character());
        if (c == null) {
            throw new IllegalStateException("cards are checked at the start");
        }
        return new ShownView(
                c.id(),
                c.name(),
                c.organ(),
                s.stages().stream().sorted().toList(),
                s.under().stream().sorted().toList(),
                s.states().entrySet().stream()
                        .filter(e -> e.getValue().word() != Frequency.Word.POSSIBLE)
                        .map(e -> new StateView(
                                e.getKey(),
                                c.wordsFor(e.getKey()),
                                e.getValue().word(),
                                e.getValue().share()))
                        .toList());
    }

    private LookAlikeView lookAlike(Taxon.LookAlike l) {
        Taxon other = herbarium.taxon(l.taxon());
        return new LookAlikeView(
                l.taxon(),
                other.commonName(),
                other.danger(),
                l.decisive(),
                l.tellable().stream().sorted().toList(),
                l.tells());
    }

    private static @Nullable Range range(@Nullable Interval interval) {
        return interval == null ? null : Range.of(interval);
    }

    private static PartView part(Taxon.UsedPart p) {
        return new PartView(
                p.part(),
                p.gathering().moment(),
                p.gathering().stages().stream().sorted().toList(),
                p.gathering().months().stream().sorted().toList(),
                p.gathering().sharePerPlant(),
                p.gathering().shareOfStand(),
                range(p.gathering().degreeDays()),
                p.gathering().leastAgeYears(),
                p.gathering().frost(),
                range(p.drying().freshMoisture()),
                range(p.keeping().bulkDensityGPerMl()),
                range(p.drying().freshBulkDensityGPerMl()),
                p.drying().dryAtC(),
                p.keeping().storageMonths(),
                p.keeping().ageingMonths(),
                p.drying().aromatic(),
                p.using().routes().stream().sorted().toList(),
                p.gathering().method(),
                p.gathering().tools(),
                p.using().spirit() == null
                        ? null
                        : new SpiritView(
                                p.using().spirit().ratio(),
                                p.using().spirit().menstruumPercent(),
                                SourceView.of(p.using().spirit().source(), Figures.spirit(p))),
                p.using().tea() == null
                        ? null
                        : new TeaView(
                                p.using().tea().method(),
                                p.using().tea().minutes(),
                                p.using().tea().gramsPerCup(),
                                p.using().tea().cupMl(),
                                SourceView.of(p.using().tea().source(), Figures.tea(p))),
                p.using().doses().stream()
                        .map(d -> new DoseView(
                                d.use(),
                                d.route(),
                                d.form(),
                                d.fromAgeYears(),
                                Range.of(d.driedGPerDay()),
                                d.mostDays(),
                                SourceView.of(d.source(), Figures.of(p, d))))
                        .toList(),
                p.using().contents().stream()
                        .map(c -> new ContentView(
                                c.constituent(),
                                Range.of(c.mgPerG()),
                                c.mostMgPerDay(),
                                c.mostMgPerKgPerDay(),
                                c.source().title() + ", " + c.source().year()))
                        .toList());
    }
}
