package org.sallowbrook.core.herbarium;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.Taxon.CautionStatus;
import org.sallowbrook.core.herbarium.Taxon.Constituent;
import org.sallowbrook.core.herbarium.Taxon.Potency;
import org.sallowbrook.core.herbarium.Taxon.Route;
import org.sallowbrook.core.herbarium.Taxon.Subject;
import org.sallowbrook.core.household.MedicineClass;
import org.sallowbrook.core.household.Person;
import org.sallowbrook.core.measure.Severity;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class ByNeedTest {

    private static Cards.Builder plant(String id, Potency potency, Source.Evidence evidence) {
        return Cards.card(id).use("cough", potency, evidence).part(0.5, 0.5, Set.of(Route.INTERNAL));
    }

    private static Person person(int age, @Nullable Integer trimester, Set<MedicineClass> medicines) {
        return new Person("P", age, 60.0, 170.0, trimester, false, Set.of(), medicines, Set.of(), null);
    }

    private static ByNeed.Answer find(List<Taxon> taxa, @Nullable Person person, Set<String> house, Set<String> near) {
        return ByNeed.find(new Herbarium(Cards.vocabulary(1), taxa), "Cough", person, house, near, Map.of(), 6);
    }

    @Test
    public void evidenceThenGentlenessThenWhatIsAtHand() {
        List<Taxon> taxa = List.of(
                plant("lore", Potency.GENTLE, Source.Evidence.LORE).build(),
                plant("strong", Potency.STRONG, Source.Evidence.OFFICIAL_MONOGRAPH)
                        .build(),
                plant("far", Potency.GENTLE, Source.Evidence.OFFICIAL_MONOGRAPH).build(),
                plant("near", Potency.GENTLE, Source.Evidence.OFFICIAL_MONOGRAPH)
                        .build(),
                plant("house", Potency.GENTLE, Source.Evidence.OFFICIAL_MONOGRAPH)
                        .build());
        assertThat(find(taxa, null, Set.of("house", "lore"), Set.of("near")).suggestions())
                .extracting(s -> s.taxon().id() + " " + s.nearness())
                .containsExactly(
                        "house IN_THE_HOUSE",
                        "near GROWS_NEAR_IN_SEASON",
                        "far ELSEWHERE",
                        "strong ELSEWHERE",
                        "lore IN_THE_HOUSE");
    }

    @Test
    public void draftsAndDangerousPlantsAreNeverProposed() {
        assertThat(find(
                                List.of(
                                        plant("d", Potency.GENTLE, Source.Evidence.LORE)
                                                .draft()
                                                .build(),
                                        Cards.card("p")
                                                .danger(Danger.POISONOUS)
                                                .use("cough", Potency.GENTLE, Source.Evidence.LORE)
                                                .build()),
                                null,
                                Set.of(),
                                Set.of())
                        .suggestions())
                .isEmpty();
    }

    /** One plant with the claim is enough: nothing else is proposed for a grave illness either. */
    @Test
    public void aGraveIllnessIsReferred() {
        var answer = ByNeed.find(
                new Herbarium(
                        Cards.vocabulary(1),
                        List.of(
                                Cards.card("claimed").grave("Cancer").build(),
                                Cards.card("other")
                                        .use("cancer", Potency.GENTLE, Source.Evidence.LORE)
                                        .build())),
                "cancer",
                null,
                Set.of(),
                Set.of(),
                Map.of(),
                6);
        assertThat(answer.suggestions()).isEmpty();
        assertThat(answer.findings()).extracting(f -> f.severity()).containsExactly(Severity.STOP);
    }

    @Test
    public void whatStandsForAPlantIsGentlerOrStrongerAndNeverItself() {
        Herbarium herbarium = new Herbarium(
                Cards.vocabulary(1),
                List.of(
                        plant("own", Potency.MODERATE, Source.Evidence.LORE).build(),
                        plant("mild", Potency.GENTLE, Source.Evidence.LORE).build(),
                        plant("strong", Potency.STRONG, Source.Evidence.LORE).build(),
                        plant("not-borne", Potency.GENTLE, Source.Evidence.LORE).build()));
        var instead = ByNeed.instead(
                herbarium,
                herbarium.taxon("own").orElseThrow(),
                null,
                Set.of(),
                Set.of(),
                Map.of("not-borne", "not borne: a rash"),
                6);
        assertThat(instead).hasSize(1);
        assertThat(instead.get(0).others())
                .extracting(s -> s.taxon().id() + " " + instead.get(0).beside(s))
                .containsExactly("mild GENTLER", "strong STRONGER");
        assertThat(instead.get(0).dropped())
                .extracting(d -> d.taxon().id() + " " + d.reason())
                .containsExactly("not-borne not borne: a rash");
    }

    @DataProvider
    public Object[][] forbidden() {
        Cards.Builder silent = plant("x", Potency.GENTLE, Source.Evidence.LORE);
        return new Object[][] {
            {silent, person(30, 2, Set.of()), "unknown counts as no"},
            {silent, person(12, null, Set.of()), "under 18"},
            {
                plant("x", Potency.GENTLE, Source.Evidence.LORE)
                        .caution(Subject.UNDER_AGE, "12", CautionStatus.PRESENT, Severity.STOP),
                person(9, null, Set.of()),
                "an effect"
            },
            {
                plant("x", Potency.GENTLE, Source.Evidence.LORE)
                        .caution(Subject.MEDICINE, "LITHIUM", CautionStatus.PRESENT, Severity.STOP),
                person(40, null, Set.of(MedicineClass.LITHIUM)),
                "an effect"
            },
            {
                plant("x", Potency.GENTLE, Source.Evidence.LORE).holds(Constituent.SALICYLATE),
                person(81, null, Set.of(MedicineClass.ANTICOAGULANT)),
                "salicylates"
            },
            {
                plant("x", Potency.GENTLE, Source.Evidence.LORE).holds(Constituent.HYPERFORIN),
                person(81, null, Set.of(MedicineClass.SEDATIVE)),
                "weakens many medicines"
            },
            {
                plant("x", Potency.GENTLE, Source.Evidence.LORE).holds(Constituent.PYRROLIZIDINE),
                person(40, null, Set.of()),
                "never by mouth"
            },
        };
    }

    @Test(dataProvider = "forbidden")
    public void whatAPersonsCautionsForbidIsDroppedAndSaid(Cards.Builder plant, Person person, String reason) {
        var answer = find(List.of(plant.build()), person, Set.of("x"), Set.of());
        assertThat(answer.suggestions()).isEmpty();
        assertThat(answer.dropped())
                .singleElement()
                .satisfies(d -> assertThat(d.reason()).contains(reason));
    }

    @Test
    public void aHealthyAdultIsDroppedNothing() {
        var answer = find(
                List.of(plant("x", Potency.GENTLE, Source.Evidence.LORE).build()),
                person(40, null, Set.of()),
                Set.of(),
                Set.of());
        assertThat(answer.suggestions()).hasSize(1);
        assertThat(answer.dropped()).isEmpty();
    }
}
