package org.sallowbrook.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import org.sallowbrook.core.herbarium.Frequency;
import org.sallowbrook.core.herbarium.Herbarium;
import org.sallowbrook.core.herbarium.LifeStage;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.identification.Identification;
import org.sallowbrook.core.identification.Identification.Observation;
import org.sallowbrook.core.identification.Identification.Status;
import org.sallowbrook.server.herbarium.HerbariumService;
import org.springframework.beans.factory.annotation.Autowired;
import org.testng.annotations.Test;

/** The shipped cards under the engine. */
public class CardsTest extends ServerTest {

    @Autowired
    private HerbariumService service;

    private Herbarium herbarium() {
        return service.herbarium();
    }

    private static String usual(Taxon.Shown shown) {
        return shown.states().entrySet().stream()
                .max(Comparator.comparingDouble(
                        (Map.Entry<String, Frequency> e) -> e.getValue().share()))
                .orElseThrow()
                .getKey();
    }

    private List<Observation> typical(Taxon taxon, LifeStage stage) {
        return taxon.characters().stream()
                .filter(s -> s.stages().contains(stage) && cost(s) < 3)
                .map(s -> new Observation(s.character(), usual(s)))
                .toList();
    }

    /** What needs digging is left alone. */
    private int cost(Taxon.Shown shown) {
        return java.util.Objects.requireNonNull(herbarium().character(shown.character()))
                .cost();
    }

    private Identification.Verdict verdict(LifeStage stage, int month, List<Observation> seen) {
        return service.identifier()
                .identify(new Identification.Request(month, stage, "merrow", seen))
                .verdict();
    }

    private int month(Taxon taxon, LifeStage stage) {
        return new TreeSet<>(taxon.months().get(stage)).first();
    }

    /** Their dangerous doubles leave too little at any stage; the verdict says so, and to grow or buy them. */
    private static final Set<String> NEVER_BY_LOOKING = Set.of("caraway", "common-juniper", "garden-iris", "lungwort");

    /** At the stage at which a plant can be told from all that is dangerous, a typical specimen is confirmed. */
    @Test
    public void aTypicalHarmlessPlantIsConfirmedWhereItCanBeTold() {
        int stages = 0;
        for (Taxon taxon : herbarium().taxa()) {
            if (taxon.parts().isEmpty()) {
                continue;
            }
            boolean confirmed = false;
            for (LifeStage stage : taxon.months().keySet()) {
                var v = verdict(stage, month(taxon, stage), typical(taxon, stage));
                if (v.status() == Status.CONFIRMED) {
                    assertThat(v.taxon()).isEqualTo(taxon.id());
                    confirmed = true;
                    stages++;
                }
            }
            assertThat(confirmed).as(taxon.id()).isEqualTo(!NEVER_BY_LOOKING.contains(taxon.id()));
        }
        assertThat(stages).isGreaterThan(50);
    }

    /** Every dangerous plant, every stage, every single slip of the observer: never confirmed as something else. */
    @Test
    public void noSingleSlipConfirmsADangerousPlant() {
        int tried = 0;
        for (Taxon taxon : herbarium().taxa()) {
            if (!taxon.danger().dangerous()) {
                continue;
            }
            for (LifeStage stage : taxon.months().keySet()) {
                List<Observation> seen = typical(taxon, stage);
                assertThat(verdict(stage, month(taxon, stage), seen).status()).isNotEqualTo(Status.CONFIRMED);
                for (int i = 0; i < seen.size(); i++) {
                    var definition = herbarium().character(seen.get(i).character());
                    for (var state :
                            java.util.Objects.requireNonNull(definition).states()) {
                        List<Observation> slipped = new ArrayList<>(seen);
                        slipped.set(i, new Observation(definition.id(), state.id()));
                        assertThat(verdict(stage, month(taxon, stage), slipped).status())
                                .as(taxon.id() + " " + stage + " " + definition.id() + " as " + state.id())
                                .isNotEqualTo(Status.CONFIRMED);
                        tried++;
                    }
                }
            }
        }
        assertThat(tried).isGreaterThan(10_000);
    }

    @Test
    public void foxgloveInFlowerIsAStopAndItsRosetteIsNotYetComfrey() {
        Taxon foxglove = service.taxon("foxglove");
        var stop = verdict(LifeStage.FLOWERING, 7, typical(foxglove, LifeStage.FLOWERING));
        assertThat(stop.status()).isEqualTo(Status.STOP);
        Taxon comfrey = service.taxon("common-comfrey");
        var rosette = verdict(LifeStage.ROSETTE, 3, typical(comfrey, LifeStage.ROSETTE));
        assertThat(rosette.status()).isEqualTo(Status.NOT_YET);
        assertThat(rosette.open()).extracting(Identification.Open::taxon).contains("foxglove");
        var at = java.util.Objects.requireNonNull(rosette.tellableAt());
        assertThat(at.stage()).isEqualTo(LifeStage.FLOWERING);
        assertThat(at.characters()).contains("inflorescence");
    }

    @Test
    public void theOrderOfLookingDoesNotMatter() {
        List<Observation> seen = new ArrayList<>(typical(service.taxon("meadowsweet"), LifeStage.FLOWERING));
        var forwards = Identification.identify(
                herbarium(), new Identification.Request(7, LifeStage.FLOWERING, "merrow", seen));
        java.util.Collections.reverse(seen);
        var backwards = Identification.identify(
                herbarium(), new Identification.Request(7, LifeStage.FLOWERING, "merrow", seen));
        for (int i = 0; i < forwards.candidates().size(); i++) {
            assertThat(backwards.candidates().get(i).posterior())
                    .isCloseTo(forwards.candidates().get(i).posterior(), org.assertj.core.api.Assertions.within(1e-9));
        }
        assertThat(backwards.verdict().status()).isEqualTo(forwards.verdict().status());
    }

    @Test
    public void everyFigureNamesItsSourceAndYear() {
        for (Taxon taxon : herbarium().taxa()) {
            assertThat(taxon.source().year()).isBetween(1900, 2026);
            taxon.parts()
                    .forEach(p -> p.using().doses().forEach(d -> {
                        assertThat(d.source().title()).isNotBlank();
                        assertThat(d.driedGPerDay().high()).isGreaterThan(0);
                    }));
        }
    }
}
