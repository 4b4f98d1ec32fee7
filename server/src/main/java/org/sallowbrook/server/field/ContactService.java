package org.sallowbrook.server.field;

import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.sallowbrook.core.field.Contacts;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.household.Loosening;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Words;
import org.sallowbrook.server.herbarium.HerbariumService;
import org.sallowbrook.server.household.LooseningService;
import org.sallowbrook.server.household.PeopleService;
import org.sallowbrook.server.platform.Member;
import org.sallowbrook.server.platform.Once;
import org.sallowbrook.server.platform.Problem;
import org.sallowbrook.server.platform.Reading;
import org.sallowbrook.server.platform.StrikeRequest;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Who touched a plant that irritates, and what came of it. */
@Service
@Transactional
public class ContactService {

    public record ContactRequest(
            UUID id, UUID personId, String taxonId, LocalDate on, Contacts.Reaction reaction, String words) {}

    public record ContactView(
            UUID id,
            UUID personId,
            String person,
            LocalDate on,
            Contacts.Reaction reaction,
            String words,
            String notedBy) {}

    /** @param washing what to do at once, by the card */
    public record ContactsView(String washing, List<Finding> findings, List<ContactView> contacts) {}

    private static final int SHOWN = 200;

    private final ContactEntities contacts;
    private final HerbariumService herbarium;
    private final PeopleService people;
    private final LooseningService loosening;
    private final Once once;
    private final Clock clock;
    private final Reading reading;

    ContactService(
            ContactEntities contacts,
            HerbariumService herbarium,
            PeopleService people,
            LooseningService loosening,
            Once once,
            Clock clock,
            Reading reading) {
        this.reading = reading;
        this.contacts = contacts;
        this.herbarium = herbarium;
        this.people = people;
        this.loosening = loosening;
        this.once = once;
        this.clock = clock;
    }

    public ContactsView note(ContactRequest request) {
        Taxon taxon = herbarium.taxon(request.taxonId());
        people.person(request.personId());
        if (once.repeated("contact", request.id(), contacts::existsById, request)) {
            return with(taxon.id());
        }
        LocalDate today = people.today();
        Checks.begin()
                .that(!request.on().isAfter(today), "on", "must not be in the future")
                .that(request.on().isAfter(today.minusYears(20)), "on", "must be within twenty years")
                .that(request.words().length() <= 300, "words", "must have at most 300 letters")
                .done();
        ContactEntity contact = new ContactEntity(request.id());
        contact.personId = request.personId();
        contact.taxonId = taxon.id();
        contact.onDay = request.on();
        contact.reaction = request.reaction();
        contact.words = request.words().strip();
        contact.notedBy = Member.current().displayName();
        contacts.saveAndFlush(contact);
        return with(taxon.id());
    }

    public void strike(UUID id, StrikeRequest request) {
        ContactEntity contact =
                contacts.findById(id).filter(c -> !c.struck()).orElseThrow(() -> new Problem.NotFound("contact"));
        String reason = contact.reaction == Contacts.Reaction.NONE
                ? request.checked()
                : loosening.pass(
                        Loosening.Safeguard.CONTACT,
                        contact.personId,
                        request,
                        "touched " + herbarium.taxon(contact.taxonId).commonName() + " on " + Words.day(contact.onDay)
                                + ": " + Words.lower(contact.reaction),
                        Set.of(contact.taxonId));
        contact.strike(clock.instant(), reason);
        contacts.saveAndFlush(contact);
    }

    public record Met(String taxonId, LocalDate on, Contacts.Reaction reaction) {}

    /** Of one person with any plant. */
    @Transactional(readOnly = true)
    public List<Met> ofPerson(UUID personId) {
        return reading
                .listOf(Reading.Of.PERSON, "contacts", personId, contacts::findAllByPersonIdIn, c -> c.personId)
                .stream()
                .map(c -> new Met(c.taxonId, c.onDay, c.reaction))
                .toList();
    }

    /** Of everybody with this plant. */
    @Transactional(readOnly = true)
    public ContactsView with(String taxonId) {
        Taxon taxon = herbarium.taxon(taxonId);
        List<ContactEntity> noted = contacts.findAllByTaxonIdOrderByOnDayDescIdDesc(taxonId, Limit.of(SHOWN));
        Map<UUID, String> names = new LinkedHashMap<>();
        noted.forEach(
                c -> names.computeIfAbsent(c.personId, id -> people.person(id).name()));
        List<Finding> findings = new ArrayList<>();
        names.forEach((id, name) -> findings.addAll(Contacts.check(
                name,
                taxon.commonName(),
                noted.stream()
                        .filter(c -> c.personId.equals(id))
                        .map(c -> new Contacts.Contact(c.onDay, c.reaction))
                        .toList())));
        return new ContactsView(
                taxon.washing(),
                findings,
                noted.stream()
                        .map(c -> new ContactView(
                                c.id,
                                c.personId,
                                names.getOrDefault(c.personId, ""),
                                c.onDay,
                                c.reaction,
                                c.words,
                                c.notedBy))
                        .toList());
    }
}
