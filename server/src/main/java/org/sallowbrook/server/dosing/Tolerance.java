package org.sallowbrook.server.dosing;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.sallowbrook.core.dosing.DosingGate;
import org.sallowbrook.core.dosing.FirstTrial;
import org.sallowbrook.core.dosing.Reaction;
import org.sallowbrook.core.field.Contacts;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.making.Product;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.server.field.ContactService;
import org.sallowbrook.server.herbarium.HerbariumService;
import org.sallowbrook.server.household.LooseningService;
import org.sallowbrook.server.platform.Reading;
import org.springframework.stereotype.Component;

/** What a person bore and did not bear: trials, reactions, and contacts with plants that irritate. */
@Component
class Tolerance {

    private final PlantTrials trials;
    private final Reactions reactions;
    private final ContactService contacts;
    private final HerbariumService herbarium;
    private final LooseningService loosening;
    private final Reading reading;

    Tolerance(
            PlantTrials trials,
            Reactions reactions,
            ContactService contacts,
            HerbariumService herbarium,
            LooseningService loosening,
            Reading reading) {
        this.reading = reading;
        this.loosening = loosening;
        this.trials = trials;
        this.reactions = reactions;
        this.contacts = contacts;
        this.herbarium = herbarium;
    }

    /** Whether a first small trial of every plant in it still speaks for this person. */
    boolean tried(UUID personId, Product product, DosingGate.Way way, List<Exposures.TakenOf> history, LocalDate on) {
        List<PlantTrial> own = trialsOf(personId);
        return product.herbs().stream()
                .map(h -> h.taxon().id())
                .allMatch(id -> FirstTrial.holds(
                        own.stream()
                                .filter(t -> t.well
                                        && t.taxonId.equals(id)
                                        && (t.way == null || t.way == way)
                                        && FirstTrial.waited(t.onDay, on))
                                .map(t -> t.onDay)
                                .toList(),
                        history.stream()
                                .filter(t -> t.product().herbs().stream()
                                        .anyMatch(h -> h.taxon().id().equals(id)))
                                .map(Exposures.TakenOf::on)
                                .toList(),
                        on));
    }

    private List<PlantTrial> trialsOf(UUID personId) {
        return reading.listOf(Reading.Of.PERSON, "trials", personId, trials::findAllByPersonIdIn, t -> t.personId);
    }

    /** What was noted as not borne and taken back since. */
    List<Finding> takenBack(UUID personId, Set<Taxon> plants) {
        return loosening.toldOf(personId, plants.stream().map(Taxon::id).collect(Collectors.toSet()));
    }

    /** What the person's history says of these plants. */
    List<Finding> check(UUID personId, String name, Set<Taxon> plants) {
        List<Finding> findings = new ArrayList<>();
        Set<String> badly = trialsOf(personId).stream()
                .filter(t -> !t.well)
                .map(t -> t.taxonId)
                .collect(Collectors.toSet());
        for (Taxon taxon : plants) {
            if (badly.contains(taxon.id())) {
                findings.add(Finding.stop(
                        "REACTED",
                        name + " reacted badly to " + taxon.commonName() + " in a trial.",
                        "Do not take it; ask a doctor before trying again."));
            }
        }
        Reaction.check(name, plants, history(personId)).stream()
                .filter(f -> findings.stream().noneMatch(g -> g.code().equals(f.code())))
                .forEach(findings::add);
        return findings;
    }

    /** Plants that this person must not be offered, and why. */
    List<Reaction.Noted> history(UUID personId) {
        List<Reaction.Noted> all = new ArrayList<>(reading
                .listOf(
                        Reading.Of.PERSON,
                        "reactions",
                        personId,
                        reactions::findAllByPersonIdInOrderByOnDayDescIdDesc,
                        r -> r.personId)
                .stream()
                .map(this::read)
                .toList());
        // What only irritates on touching is the plant's way with everybody; blisters and breath are this person's.
        contacts.ofPerson(personId).stream()
                .filter(c -> c.reaction().compareTo(Contacts.Reaction.BLISTERS) >= 0)
                .forEach(c -> all.add(new Reaction.Noted(
                        Set.of(herbarium.taxon(c.taxonId())),
                        c.on(),
                        Set.of(c.reaction() == Contacts.Reaction.BREATH ? Reaction.Sign.BREATH : Reaction.Sign.RASH),
                        c.reaction() == Contacts.Reaction.BREATH ? Reaction.Degree.SEVERE : Reaction.Degree.MODERATE,
                        null)));
        return all;
    }

    Reaction.Noted read(ReactionEntity r) {
        return new Reaction.Noted(
                r.taxonIds().stream().map(herbarium::taxon).collect(Collectors.toSet()),
                r.onDay,
                r.seen(),
                r.degree,
                r.hoursAfter);
    }
}
