package org.sallowbrook.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import org.sallowbrook.core.dosing.DosingGate;
import org.sallowbrook.core.dosing.RuleSource;
import org.sallowbrook.core.herbarium.Herbarium;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.household.Condition;
import org.sallowbrook.core.household.MedicineClass;
import org.sallowbrook.core.household.Medicines;
import org.sallowbrook.core.household.Person;
import org.sallowbrook.core.making.Product;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.Strength;
import org.sallowbrook.core.shelf.Trait;
import org.sallowbrook.server.herbarium.ShippedCards;
import org.sallowbrook.server.household.MedicineNames;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/**
 * What every medicine and condition that can be ticked changes for every plant that ships, written out for a pharmacist to
 * read through: docs/cautions.md. Renew with -Dcautions.write=true.
 */
public class CautionTableTest {

    private static final Path TABLE = Path.of("..", "docs", "cautions.md");
    private static final LocalDate ON = LocalDate.of(2026, 7, 1);

    private Herbarium herbarium;

    @BeforeClass
    public void cards() throws IOException {
        herbarium = ShippedCards.load().herbarium();
    }

    private static Person person(Set<Condition> conditions, Set<MedicineClass> medicines) {
        return new Person("the person", 40, 70.0, 170.0, null, false, conditions, medicines, Set.of(), null);
    }

    /** By mouth if the plant has such a part, else on the skin: as a tea, a tincture and a sweet with honey. */
    private static List<Finding> findings(Taxon taxon, Person person, boolean spirit, boolean honey) {
        var part = taxon.parts().stream()
                .filter(p -> p.using().routes().contains(Taxon.Route.INTERNAL))
                .findFirst()
                .orElse(taxon.parts().get(0));
        boolean mouth = part.using().routes().contains(Taxon.Route.INTERNAL);
        Product product = new Product(
                taxon.commonName(),
                mouth ? Taxon.Route.INTERNAL : Taxon.Route.EXTERNAL,
                List.of(new Product.Herb(taxon, part.part(), 1)),
                Interval.exactly(0.001),
                spirit ? Strength.ofPercent(40) : Strength.ofPercent(0),
                ON.plusDays(100),
                Product.State.USABLE,
                honey ? Set.of(Trait.HONEY) : Set.of());
        var intake = mouth
                ? DosingGate.Intake.mouth(1, 3, 5)
                : new DosingGate.Intake(
                        DosingGate.Way.SKIN,
                        null,
                        0,
                        1,
                        5,
                        List.of(),
                        true,
                        false,
                        DosingGate.Skin.INTACT,
                        0,
                        null,
                        null);
        return DosingGate.check(product, person, intake, ON);
    }

    /** What is said to this person and not to one who has and takes nothing. */
    private Map<Taxon, Set<Finding>> changed(Person person) {
        Person plain = person(Set.of(), Set.of());
        Map<Taxon, Set<Finding>> all = new TreeMap<>((a, b) -> a.commonName().compareToIgnoreCase(b.commonName()));
        for (Taxon taxon : herbarium.taxa()) {
            if (taxon.parts().isEmpty()) {
                continue;
            }
            Set<Finding> differing = new LinkedHashSet<>();
            for (int variant = 0; variant < 3; variant++) {
                List<Finding> said = new ArrayList<>(findings(taxon, person, variant == 1, variant == 2));
                said.removeAll(findings(taxon, plain, variant == 1, variant == 2));
                differing.addAll(said);
            }
            if (!differing.isEmpty()) {
                all.put(taxon, differing);
            }
        }
        return all;
    }

    @DataProvider
    public Object[][] everybody() {
        List<Object[]> rows = new ArrayList<>();
        for (MedicineClass medicine : MedicineClass.values()) {
            rows.add(new Object[] {medicine.words(), person(Set.of(), Set.of(medicine))});
        }
        for (Condition condition : Condition.values()) {
            rows.add(new Object[] {condition.words(), person(Set.of(condition), Set.of())});
        }
        return rows.toArray(Object[][]::new);
    }

    @Test(dataProvider = "everybody")
    public void whateverCanBeTickedChangesSomeAnswer(String words, Person person) {
        assertThat(changed(person)).as(words).isNotEmpty();
    }

    @Test(dataProvider = "everybody")
    public void noMessageReadsAsLeaveToTakeMoreOrToChangeAMedicine(String words, Person person) {
        changed(person)
                .values()
                .forEach(said -> said.forEach(f -> assertThat(f.message() + f.action())
                        .as(words)
                        .doesNotContainIgnoringCase("take more")
                        .doesNotContainIgnoringCase("raise the dose")
                        .doesNotContainIgnoringCase("reduce the medicine")
                        .doesNotContainIgnoringCase("stop the medicine")));
    }

    /** By mouth with no medicine at all, of whatever class or none. */
    @Test
    public void stJohnsWortIsStoppedWithAnyMedicine() {
        Taxon wort = herbarium.taxon("perforate-st-johns-wort").orElseThrow();
        for (MedicineClass medicine : MedicineClass.values()) {
            assertThat(findings(wort, person(Set.of(), Set.of(medicine)), false, false))
                    .as(medicine.words())
                    .anyMatch(f -> f.severity().name().equals("STOP")
                            && Set.of("WEAKENS_MEDICINE", "SEROTONIN", "WITH_ANY_MEDICINE")
                                    .contains(f.code()));
        }
    }

    @Test
    public void medicinesAreFoundByTheNameOnThePacketTypingErrorsToo() throws IOException {
        Medicines medicines = MedicineNames.load();
        assertThat(medicines.size()).isGreaterThan(900);
        assertThat(medicines.search("ibuprofin").like())
                .extracting(Medicines.Named::name)
                .contains("ibuprofen");
        assertThat(medicines.search("Warfa").holding())
                .singleElement()
                .satisfies(m -> assertThat(m.classes()).containsExactly(MedicineClass.ANTICOAGULANT));
        assertThat(medicines.named("tramadol").orElseThrow().classes())
                .containsExactlyInAnyOrder(MedicineClass.OPIOID, MedicineClass.SEROTONERGIC_PAIN_KILLER);
        assertThat(medicines.search("xy")).isEqualTo(new Medicines.Found(null, List.of(), List.of()));
        assertThat(medicines.named("no such thing")).isEmpty();
    }

    /** As people say them: short forms, salts, strengths, older names. */
    @DataProvider
    public Object[][] said() {
        return new Object[][] {
            {"ASA", MedicineClass.ANTIPLATELET},
            {"sodium valproate", MedicineClass.ANTIEPILEPTIC},
            {"iron", MedicineClass.IRON},
            {"ferrous sulphate", MedicineClass.IRON},
            {"levothyroxine sodium", MedicineClass.THYROID},
            {"L-thyroxine 75", MedicineClass.THYROID},
            {"thiamazole", MedicineClass.ANTITHYROID},
            {"sertraline hydrochloride 50 mg", MedicineClass.SSRI},
            {"the pill", MedicineClass.CONTRACEPTIVE},
            {"melatonin", MedicineClass.SEDATIVE},
            {"linezolid", MedicineClass.ANTIDEPRESSANT},
            {"safinamide", MedicineClass.ANTIDEPRESSANT},
            {"filgotinib", MedicineClass.IMMUNOSUPPRESSANT},
            {"osimertinib", MedicineClass.CANCER},
            {"acetazolamide", MedicineClass.DIURETIC},
            {"meperidine", MedicineClass.SEROTONERGIC_PAIN_KILLER},
            {"nirmatrelvir/ritonavir", MedicineClass.ANTIRETROVIRAL},
            {"bendroflumethiazide", MedicineClass.DIURETIC},
            {"glyburide", MedicineClass.INSULIN_OR_SULFONYLUREA},
            {"paracetamol", MedicineClass.PLAIN},
            {"cetirizine", MedicineClass.PLAIN},
            {"rifampicin", MedicineClass.OTHER},
        };
    }

    @Test(dataProvider = "said")
    public void aMedicineIsKnownAsPeopleSayIt(String name, MedicineClass medicine) throws IOException {
        assertThat(MedicineNames.load().search(name).known())
                .as(name)
                .isNotNull()
                .satisfies(m -> assertThat(m.classes()).contains(medicine));
    }

    /** Another medicine is never the answer to a name that is not known. */
    @Test
    public void whatIsOnlyWrittenAlikeIsNeverTaken() throws IOException {
        Medicines medicines = MedicineNames.load();
        for (String brand : List.of("zorbatrin", "safinamid", "asax", "irone")) {
            assertThat(medicines.search(brand).known()).as(brand).isNull();
        }
        assertThat(medicines.search("safinamid").holding())
                .extracting(Medicines.Named::name)
                .containsExactly("safinamide");
        assertThat(medicines.search("rufinamidde").like())
                .extracting(Medicines.Named::name)
                .contains("rufinamide");
    }

    @Test
    public void theTableInTheDocsIsWhatTheGateSays() throws IOException {
        String table = table();
        if (Boolean.getBoolean("cautions.write")) {
            Files.writeString(TABLE, table);
        }
        assertThat(Files.readString(TABLE))
                .as("renew it: -Dtest=CautionTableTest -Dcautions.write=true")
                .isEqualTo(table);
    }

    private String table() {
        StringBuilder text = new StringBuilder("""
                # What follows with which medicine or condition

                Written by a test from the gate and the cards that ship; for a pharmacist to read through. An adult who has and takes nothing else, each plant as a tea, a tincture of 40 % and a sweet with honey (on the skin where it is for the outside only). What is said to everybody is left out. Nothing here was checked by a pharmacist yet; where no source could be named it says so.

                """);
        for (Object[] row : everybody()) {
            Person person = (Person) row[1];
            text.append("## With ")
                    .append(row[0])
                    .append("\n\n| what follows | why | plants | source |\n|---|---|---|---|\n");
            Map<String, Set<String>> plants = new TreeMap<>();
            changed(person)
                    .forEach((taxon, said) -> said.forEach(f -> {
                        String name = taxon.commonName();
                        String why = f.message().replace(name, "it").replace("|", "/");
                        String source = f.code().startsWith("CAUTION_")
                                ? f.action().replaceAll("^[^(]*\\((.*); not checked.*$", "$1")
                                : RuleSource.of(f.code()).title() + ", "
                                        + RuleSource.of(f.code()).year();
                        plants.computeIfAbsent(
                                        f.severity() + " " + f.code() + " | " + why + " | %s | " + source,
                                        k -> new TreeSet<>())
                                .add(name);
                    }));
            plants.forEach((line, names) -> text.append("| ")
                    .append(line.replace("%s", String.join(", ", names)))
                    .append(" |\n"));
            text.append('\n');
        }
        return text.toString();
    }
}
