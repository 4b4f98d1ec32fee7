package org.sallowbrook.server.herbarium;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.CharacterDefinition;
import org.sallowbrook.core.herbarium.CharacterDefinition.Organ;
import org.sallowbrook.core.herbarium.Danger;
import org.sallowbrook.core.herbarium.Frequency;
import org.sallowbrook.core.herbarium.LifeStage;
import org.sallowbrook.core.herbarium.Source;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.measure.Severity;
import org.sallowbrook.server.platform.Range;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/herbarium")
class HerbariumController {

    record TaxonSummary(
            String id, String name, String commonName, Danger danger, Boolean draft, List<Taxon.Part> parts) {}

    record StateView(String state, String words, Frequency frequency) {}

    record ShownView(String character, String name, Organ organ, List<LifeStage> stages, List<StateView> states) {}

    record LookAlikeView(String taxon, String commonName, Danger danger, List<String> decisive, String tells) {}

    record SourceView(String title, Integer year, Source.Evidence evidence, Source.Review review) {
        static SourceView of(Source s) {
            return new SourceView(s.title(), s.year(), s.evidence(), s.review());
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
            @Nullable Range freshMoisture,
            @Nullable Double dryAtC,
            Boolean aromatic,
            List<Taxon.Route> routes,
            String method,
            @Nullable SpiritView spirit,
            @Nullable TeaView tea,
            List<DoseView> doses) {}

    record UseView(String name, Taxon.Route route, Boolean grave, SourceView source) {}

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
            String name,
            String author,
            List<String> olderNames,
            List<String> commonNames,
            String family,
            String lifeForm,
            Danger danger,
            Boolean draft,
            Boolean genusEnough,
            List<String> regions,
            String habitat,
            String protection,
            List<String> hazards,
            List<MonthsView> months,
            List<ShownView> characters,
            List<LookAlikeView> lookAlikes,
            List<PartView> parts,
            List<Taxon.Constituent> constituents,
            List<String> actions,
            List<UseView> uses,
            List<CautionView> cautions,
            SourceView source) {}

    record CharacterStateView(String id, String words) {}

    record CharacterView(
            String id,
            String name,
            Organ organ,
            String howToLook,
            List<LifeStage> stages,
            Boolean scent,
            Integer cost,
            List<CharacterStateView> states) {}

    private final HerbariumService herbarium;

    HerbariumController(HerbariumService herbarium) {
        this.herbarium = herbarium;
    }

    @GetMapping("/taxa")
    List<TaxonSummary> taxa(@RequestParam(required = false) @Nullable String q) {
        var found = q == null || q.isBlank()
                ? herbarium.herbarium().taxa()
                : herbarium.herbarium().search(q);
        return found.stream()
                .map(t -> new TaxonSummary(
                        t.id(),
                        t.name(),
                        t.commonName(),
                        t.danger(),
                        t.draft(),
                        t.parts().stream().map(Taxon.UsedPart::part).toList()))
                .toList();
    }

    @GetMapping("/taxa/{id}")
    TaxonView taxon(@PathVariable String id) {
        Taxon t = herbarium.taxon(id);
        return new TaxonView(
                t.id(),
                t.name(),
                t.author(),
                t.olderNames(),
                t.commonNames(),
                t.family(),
                t.lifeForm(),
                t.danger(),
                t.draft(),
                t.genusEnough(),
                List.copyOf(t.regions()),
                t.habitat(),
                t.protection(),
                t.hazards(),
                months(t),
                t.characters().stream().map(this::shown).toList(),
                t.lookAlikes().stream().map(this::lookAlike).toList(),
                t.parts().stream().map(HerbariumController::part).toList(),
                t.constituents().stream().sorted().toList(),
                t.actions().stream().map(Taxon.Action::name).toList(),
                t.uses().stream()
                        .map(u -> new UseView(u.name(), u.route(), u.grave(), SourceView.of(u.source())))
                        .toList(),
                t.cautions().stream()
                        .map(c -> new CautionView(
                                c.subject(),
                                c.value(),
                                c.status(),
                                c.severity(),
                                c.effect(),
                                SourceView.of(c.source())))
                        .toList(),
                SourceView.of(t.source()));
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
                s.states().entrySet().stream()
                        .map(e -> new StateView(e.getKey(), c.wordsFor(e.getKey()), e.getValue()))
                        .toList());
    }

    private LookAlikeView lookAlike(Taxon.LookAlike l) {
        Taxon other = herbarium.taxon(l.taxon());
        return new LookAlikeView(l.taxon(), other.commonName(), other.danger(), l.decisive(), l.tells());
    }

    private static PartView part(Taxon.UsedPart p) {
        return new PartView(
                p.part(),
                p.moment(),
                p.stages().stream().sorted().toList(),
                p.months().stream().sorted().toList(),
                p.sharePerPlant(),
                p.shareOfStand(),
                p.freshMoisture() == null ? null : Range.of(p.freshMoisture()),
                p.dryAtC(),
                p.aromatic(),
                p.routes().stream().sorted().toList(),
                p.method(),
                p.spirit() == null
                        ? null
                        : new SpiritView(
                                p.spirit().ratio(),
                                p.spirit().menstruumPercent(),
                                SourceView.of(p.spirit().source())),
                p.tea() == null
                        ? null
                        : new TeaView(
                                p.tea().method(),
                                p.tea().minutes(),
                                p.tea().gramsPerCup(),
                                p.tea().cupMl(),
                                SourceView.of(p.tea().source())),
                p.doses().stream()
                        .map(d -> new DoseView(
                                d.use(),
                                d.route(),
                                d.form(),
                                d.fromAgeYears(),
                                Range.of(d.driedGPerDay()),
                                d.mostDays(),
                                SourceView.of(d.source())))
                        .toList());
    }
}
