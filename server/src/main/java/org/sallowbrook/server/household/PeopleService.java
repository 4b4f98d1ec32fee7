package org.sallowbrook.server.household;

import java.time.Clock;
import java.time.LocalDate;
import java.time.Period;
import java.time.ZoneId;
import java.util.Arrays;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.field.season.Place;
import org.sallowbrook.core.household.Condition;
import org.sallowbrook.core.household.MedicineClass;
import org.sallowbrook.core.household.Medicines;
import org.sallowbrook.core.household.Person;
import org.sallowbrook.core.household.PlantFamily;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.server.platform.Member;
import org.sallowbrook.server.platform.Once;
import org.sallowbrook.server.platform.Problem;
import org.sallowbrook.server.platform.Reading;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The people of the household and those given something, and what day it is where they live. */
@Service
@Transactional
public class PeopleService {

    public record PersonRequest(
            UUID id,
            String name,
            LocalDate bornOn,
            @Nullable Double weightKg,
            @Nullable Double heightCm,
            @Nullable Integer trimester,
            Boolean breastFeeding,
            List<Condition> conditions,
            List<MedicineClass> medicines,
            @Nullable List<String> medicineNames,
            List<String> allergyFamilies,
            @Nullable LocalDate operationOn,
            Boolean recipient) {}

    /** @param medicines classes ticked; those of the names come on top */
    public record PersonView(
            UUID id,
            Long version,
            String name,
            LocalDate bornOn,
            Integer ageYears,
            @Nullable Double weightKg,
            @Nullable Double heightCm,
            @Nullable Integer trimester,
            Boolean breastFeeding,
            List<Condition> conditions,
            List<MedicineClass> medicines,
            List<Medicines.Named> medicineNames,
            List<String> allergyFamilies,
            @Nullable LocalDate operationOn,
            Boolean recipient) {}

    private final Medicines medicines;
    private final People people;
    private final Households households;
    private final Once once;
    private final Clock clock;
    private final boolean demo;
    private final Reading reading;

    PeopleService(
            People people,
            Households households,
            Once once,
            Clock clock,
            Medicines medicines,
            @Value("${sallowbrook.demo}") boolean demo,
            Reading reading) {
        this.reading = reading;
        this.demo = demo;
        this.medicines = medicines;
        this.once = once;
        this.people = people;
        this.households = households;
        this.clock = clock;
    }

    @Transactional(readOnly = true)
    public ZoneId zone() {
        return ZoneId.of(households
                .findById(Member.current().householdId())
                .orElseThrow(() -> new Problem.NotFound("household"))
                .zone);
    }

    /** The region whose plants are candidates where this household gathers. */
    @Transactional(readOnly = true)
    public String region() {
        return households
                .findById(Member.current().householdId())
                .orElseThrow(() -> new Problem.NotFound("household"))
                .region;
    }

    /** Where the household lives, as far as it moves the seasons; null where nobody said. */
    @Transactional(readOnly = true)
    public @Nullable Place place() {
        Household h = households
                .findById(Member.current().householdId())
                .orElseThrow(() -> new Problem.NotFound("household"));
        return h.latitude == null ? null : new Place(h.latitude, h.elevationM == null ? 0 : h.elevationM);
    }

    /** Whether simulated devices are offered: in the demo, and where a household switched them on. */
    @Transactional(readOnly = true)
    public boolean standIns() {
        return demo
                || households
                        .findById(Member.current().householdId())
                        .orElseThrow(() -> new Problem.NotFound("household"))
                        .standIns;
    }

    /** Today where the household lives. */
    @Transactional(readOnly = true)
    public LocalDate today() {
        return LocalDate.now(clock.withZone(zone()));
    }

    @Transactional(readOnly = true)
    public List<PersonView> all() {
        LocalDate today = today();
        return reading.once(
                "people",
                () -> people.findAllByOrderByBornOn().stream()
                        .map(p -> view(p, today))
                        .toList());
    }

    @Transactional(readOnly = true)
    public PersonView one(UUID id) {
        return view(find(id), today());
    }

    /** For the gates. */
    @Transactional(readOnly = true)
    public Person person(UUID id) {
        PersonEntity p = find(id);
        return person(p, Period.between(p.bornOn, today()).getYears());
    }

    /** Records somebody; a repeated request changes nothing. */
    public PersonView add(PersonRequest request) {
        if (once.repeated("person", request.id(), people::existsById, request)) {
            return one(request.id());
        }
        PersonEntity person = new PersonEntity(request.id());
        fill(person, request);
        return view(people.saveAndFlush(person), today());
    }

    public PersonView change(UUID id, PersonRequest request, @Nullable String ifMatch) {
        PersonEntity entity = find(id);
        entity.checkVersion(ifMatch, () -> view(entity, today()));
        fill(entity, request);
        return view(people.saveAndFlush(entity), today());
    }

    /** What somebody takes, by generic names. */
    PersonView take(UUID id, List<String> names) {
        PersonView p = one(id);
        return change(
                id,
                new PersonRequest(
                        id,
                        p.name(),
                        p.bornOn(),
                        p.weightKg(),
                        p.heightCm(),
                        p.trimester(),
                        p.breastFeeding(),
                        p.conditions(),
                        p.medicines(),
                        names,
                        p.allergyFamilies(),
                        p.operationOn(),
                        p.recipient()),
                String.valueOf(p.version()));
    }

    private PersonEntity find(UUID id) {
        return reading.of(
                        Reading.Of.PERSON,
                        "row",
                        id,
                        ids -> people.findAllById(ids).stream().collect(Collectors.toMap(p -> p.id, Optional::of)),
                        Optional.<PersonEntity>empty())
                .orElseThrow(() -> new Problem.NotFound("person"));
    }

    private void fill(PersonEntity entity, PersonRequest request) {
        LocalDate today = today();
        List<String> names = request.medicineNames() == null ? List.of() : request.medicineNames();
        Checks.begin()
                .that(
                        names.stream().allMatch(n -> medicines.named(n).isPresent()),
                        "medicineNames",
                        "must be generic names known here; else choose another medicine")
                .that(!request.name().isBlank() && request.name().length() <= 120, "name", "must have 1 to 120 letters")
                .that(!request.bornOn().isAfter(today), "bornOn", "must not be in the future")
                .that(request.bornOn().isAfter(today.minusYears(130)), "bornOn", "must be within 130 years")
                .that(
                        request.operationOn() == null || !request.operationOn().isBefore(today.minusYears(1)),
                        "operationOn",
                        "must not be long past")
                .that(
                        request.allergyFamilies().stream()
                                .allMatch(f -> PlantFamily.of(f).isPresent()),
                        "allergyFamilies",
                        "must be plant families, such as Asteraceae or the daisy family")
                .done();
        entity.name = request.name().strip();
        entity.bornOn = request.bornOn();
        entity.weightKg = request.weightKg();
        entity.heightCm = request.heightCm();
        entity.trimester = request.trimester();
        entity.breastFeeding = request.breastFeeding();
        entity.conditions = join(request.conditions());
        entity.medicines = join(request.medicines());
        entity.medicineNames = names.stream()
                .flatMap(n -> medicines.named(n).stream())
                .map(Medicines.Named::name)
                .distinct()
                .collect(Collectors.joining(","));
        entity.allergyFamilies = request.allergyFamilies().stream()
                .flatMap(f -> PlantFamily.of(f).stream())
                .map(PlantFamily::latin)
                .distinct()
                .collect(Collectors.joining(","));
        entity.operationOn = request.operationOn();
        entity.recipient = request.recipient();
        person(entity, Period.between(entity.bornOn, today).getYears());
    }

    private Set<MedicineClass> medicines(PersonEntity p) {
        Set<MedicineClass> all = split(p.medicines, MedicineClass.class);
        // A kind that was ticked without a name may be any of it.
        if (all.contains(MedicineClass.ANTIDEPRESSANT)) {
            all.add(MedicineClass.SSRI);
        }
        if (all.contains(MedicineClass.DIABETES)) {
            all.add(MedicineClass.INSULIN_OR_SULFONYLUREA);
        }
        named(p).forEach(n -> all.addAll(n.classes()));
        return all;
    }

    private List<Medicines.Named> named(PersonEntity p) {
        return texts(p.medicineNames).stream()
                .flatMap(n -> medicines.named(n).stream())
                .toList();
    }

    private Person person(PersonEntity p, int age) {
        return new Person(
                p.name,
                age,
                p.weightKg,
                p.heightCm,
                p.trimester,
                p.breastFeeding,
                split(p.conditions, Condition.class),
                medicines(p),
                texts(p.allergyFamilies),
                p.operationOn);
    }

    private PersonView view(PersonEntity p, LocalDate today) {
        return new PersonView(
                p.id,
                p.version == null ? 0 : p.version,
                p.name,
                p.bornOn,
                Period.between(p.bornOn, today).getYears(),
                p.weightKg,
                p.heightCm,
                p.trimester,
                p.breastFeeding,
                List.copyOf(split(p.conditions, Condition.class)),
                List.copyOf(split(p.medicines, MedicineClass.class)),
                named(p),
                List.copyOf(texts(p.allergyFamilies)),
                p.operationOn,
                p.recipient);
    }

    private static String join(List<? extends Enum<?>> values) {
        return values.stream().map(Enum::name).distinct().collect(Collectors.joining(","));
    }

    private static Set<String> texts(String joined) {
        return Arrays.stream(joined.split(","))
                .filter(s -> !s.isBlank())
                .collect(Collectors.toCollection(LinkedHashSet::new));
    }

    private static <E extends Enum<E>> Set<E> split(String joined, Class<E> type) {
        return texts(joined).stream()
                .map(s -> Enum.valueOf(type, s))
                .collect(Collectors.toCollection(LinkedHashSet::new));
    }
}
