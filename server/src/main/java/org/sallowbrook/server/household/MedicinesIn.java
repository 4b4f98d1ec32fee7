package org.sallowbrook.server.household;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.sallowbrook.core.household.Medicines;
import org.sallowbrook.core.measure.InvalidInput;
import org.sallowbrook.server.platform.ListIn;
import org.sallowbrook.server.platform.Problem;
import org.springframework.stereotype.Component;

/** Who takes which medicine, from a list; each name must be one that is known here, or its kind is ticked by hand. */
@Component
class MedicinesIn implements ListIn {

    private final PeopleService people;

    MedicinesIn(PeopleService people) {
        this.people = people;
    }

    @Override
    public String name() {
        return "medicines";
    }

    @Override
    public String words() {
        return "Medicines that people take";
    }

    @Override
    public String hint() {
        return "A line for each medicine. Whoever takes it must be here under the same name; the generic name of the medicine is"
                + " wanted, not its brand. What is not known here is refused: tick its kind at the person.";
    }

    @Override
    public List<Column> columns() {
        return List.of(
                Column.text("person", "Person", "who", "name").must(),
                Column.text("medicineNames", "Medicine", "medication", "drug").must());
    }

    @Override
    public String same(Line line) {
        return line.alike("person", "medicineNames");
    }

    @Override
    public boolean here(Line line) {
        return person(line).medicineNames().stream()
                .anyMatch(m -> m.name().equalsIgnoreCase(line.textOr("medicineNames", "")));
    }

    private PeopleService.PersonView person(Line line) {
        List<PeopleService.PersonView> called = people.all().stream()
                .filter(p -> p.name().equalsIgnoreCase(line.textOr("person", "")))
                .toList();
        if (called.size() == 1) {
            return called.get(0);
        }
        throw new InvalidInput(List.of(new InvalidInput.Violation(
                "person", called.isEmpty() ? "is nobody of this household" : "is the name of several people here")));
    }

    @Override
    public Brought take(Line line) {
        PeopleService.PersonView person = person(line);
        String medicine = line.textOr("medicineNames", "");
        List<String> names = names(person);
        names.add(medicine);
        PeopleService.PersonView changed = people.take(person.id(), names);
        String name =
                changed.medicineNames().get(changed.medicineNames().size() - 1).name();
        return new Brought(person.id() + " " + changed.version() + " " + name, person.name() + ": " + medicine);
    }

    private record Handle(UUID person, long version, String medicine) {
        static Handle of(String handle) {
            String[] parts = handle.split(" ", 3);
            return new Handle(UUID.fromString(parts[0]), Long.parseLong(parts[1]), parts[2]);
        }
    }

    /** Whoever saved somebody's page since has seen what they take there, and left it. */
    @Override
    public void mayGoBack(List<String> handles) {
        Map<UUID, Long> last = new HashMap<>();
        handles.stream().map(Handle::of).forEach(h -> last.merge(h.person(), h.version(), Math::max));
        last.forEach((id, version) -> {
            PeopleService.PersonView person = people.one(id);
            if (person.version() != version) {
                throw new Problem.Conflict("The page of " + person.name()
                        + " was saved since, with these medicines. Take off there what is not taken.");
            }
        });
    }

    private static List<String> names(PeopleService.PersonView person) {
        return new ArrayList<>(
                person.medicineNames().stream().map(Medicines.Named::name).toList());
    }

    @Override
    public void takeBack(String handle) {
        Handle of = Handle.of(handle);
        List<String> names = names(people.one(of.person()));
        if (!names.remove(of.medicine())) {
            throw new Problem.NotFound("medicine of theirs");
        }
        people.take(of.person(), names);
    }
}
