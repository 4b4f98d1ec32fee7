package org.sallowbrook.server.household;

import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.household.Medicines;
import org.sallowbrook.core.household.PlantFamily;
import org.springframework.http.HttpHeaders;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/people")
class PeopleController {

    private final PeopleService people;

    private final Medicines medicines;

    PeopleController(PeopleService people, Medicines medicines) {
        this.people = people;
        this.medicines = medicines;
    }

    @GetMapping
    List<PeopleService.PersonView> all() {
        return people.all();
    }

    record FamilyView(String latin, String words, String examples) {}

    /** Plant families somebody may be allergic to, by the name people know. */
    @GetMapping("/families")
    List<FamilyView> families() {
        return Arrays.stream(PlantFamily.values())
                .map(f -> new FamilyView(f.latin(), f.words(), f.examples()))
                .sorted(Comparator.comparing(FamilyView::words))
                .toList();
    }

    /** The medicine of the name typed, and those whose names hold it or are written like it, with their classes. */
    @GetMapping("/medicines")
    Medicines.Found medicines(@RequestParam String name) {
        return medicines.search(name);
    }

    @GetMapping("/{id}")
    PeopleService.PersonView one(@PathVariable UUID id) {
        return people.one(id);
    }

    @PostMapping
    PeopleService.PersonView add(@RequestBody PeopleService.PersonRequest request) {
        return people.add(request);
    }

    @PutMapping("/{id}")
    PeopleService.PersonView change(
            @PathVariable UUID id,
            @RequestBody PeopleService.PersonRequest request,
            @RequestHeader(value = HttpHeaders.IF_MATCH, required = false) @Nullable String ifMatch) {
        return people.change(id, request, ifMatch);
    }
}
