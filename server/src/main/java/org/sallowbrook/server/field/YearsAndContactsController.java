package org.sallowbrook.server.field;

import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.server.platform.StrikeRequest;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** What years do to a stand, and plants to people. */
@RestController
@RequestMapping("/api/field")
class YearsAndContactsController {

    private final YearsService years;
    private final ContactService contacts;

    YearsAndContactsController(YearsService years, ContactService contacts) {
        this.years = years;
        this.contacts = contacts;
    }

    @GetMapping("/stands/{id}/years")
    YearsService.YearsView years(
            @PathVariable UUID id,
            @RequestParam(required = false) Taxon.@Nullable Part part,
            @RequestParam(required = false) @Nullable Double planned) {
        return years.years(id, part, planned);
    }

    @PostMapping("/stands/{id}/counts")
    YearsService.PlantCountView count(@PathVariable UUID id, @RequestBody YearsService.PlantCountRequest request) {
        return years.count(id, request);
    }

    @PostMapping("/stands/{id}/counts/{count}/strike")
    void strikeCount(@PathVariable UUID id, @PathVariable UUID count, @RequestBody StrikeRequest request) {
        years.strike(id, count, request);
    }

    @PostMapping("/stands/{id}/past/{harvest}/strike")
    void strikePast(@PathVariable UUID id, @PathVariable UUID harvest, @RequestBody StrikeRequest request) {
        years.strikePast(id, harvest, request);
    }

    @GetMapping("/contacts")
    ContactService.ContactsView contacts(@RequestParam String taxon) {
        return contacts.with(taxon);
    }

    @PostMapping("/contacts")
    ContactService.ContactsView note(@RequestBody ContactService.ContactRequest request) {
        return contacts.note(request);
    }

    @PostMapping("/contacts/{id}/strike")
    void strikeContact(@PathVariable UUID id, @RequestBody StrikeRequest request) {
        contacts.strike(id, request);
    }
}
