package org.sallowbrook.server.field;

import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.field.IdentityOnRecord;
import org.sallowbrook.core.field.LookAgain;
import org.sallowbrook.core.herbarium.CharacterDefinition;
import org.sallowbrook.core.herbarium.LifeStage;
import org.sallowbrook.core.herbarium.LookingCondition;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.identification.Identification;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.server.herbarium.HerbariumService;
import org.sallowbrook.server.household.PeopleService;
import org.sallowbrook.server.platform.Member;
import org.sallowbrook.server.platform.Stored;
import org.springframework.stereotype.Component;

/** What the looks at a stand say together. */
@Component
class LookReader {

    private final StandIdentifications all;
    private final HerbariumService herbarium;
    private final PeopleService people;

    LookReader(StandIdentifications all, HerbariumService herbarium, PeopleService people) {
        this.all = all;
        this.herbarium = herbarium;
        this.people = people;
    }

    List<IdentityOnRecord.Look> looks(Stand stand) {
        return all.at(stand.id).stream().map(StandIdentifications.At::look).toList();
    }

    /** The look that speaks for a stand on a day. */
    IdentityOnRecord.@Nullable Look speaking(Stand stand, LocalDate day, List<IdentityOnRecord.Look> looks) {
        return IdentityOnRecord.on(day, stand.taxonId(), looks);
    }

    IdentityOnRecord.SecondLook second(Stand stand, LocalDate day, List<IdentityOnRecord.Look> looks) {
        if (stand.taxonId == null) {
            return IdentityOnRecord.SecondLook.NOT_NEEDED;
        }
        Taxon taxon = herbarium.taxon(stand.taxonId);
        return IdentityOnRecord.second(
                taxon,
                taxon.lookAlikes().stream().map(l -> herbarium.taxon(l.taxon())).toList(),
                IdentityOnRecord.on(day, stand.taxonId(), looks),
                day,
                looks);
    }

    /** Whether what a stand is said to be is told from what is dangerous, with a second look where one is wanted. */
    boolean certain(Stand stand, LocalDate day, List<IdentityOnRecord.Look> looks) {
        IdentityOnRecord.Look speaking = speaking(stand, day, looks);
        return speaking != null
                && IdentityOnRecord.fresh(speaking, day)
                && IdentityOnRecord.certain(speaking, second(stand, day, looks));
    }

    /** When the look said it can be told; null for one that is certain or knew no stage. */
    StandService.@Nullable SettlesView settles(StandIdentification look) {
        StoredLook.TellableAt told = look.status == Identification.Status.CONFIRMED ? null : toldAt(look);
        if (told == null) {
            return null;
        }
        return new StandService.SettlesView(
                told.stage(),
                told.months(),
                told.characters().stream()
                        .map(c -> herbarium.herbarium().character(c))
                        .filter(java.util.Objects::nonNull)
                        .map(CharacterDefinition::name)
                        .toList());
    }

    /** A look that can't be read is said on its own page; it does not take the list of stands with it. */
    private static StoredLook.@Nullable TellableAt toldAt(StandIdentification look) {
        try {
            return StoredLook.DOCUMENT.read(look.look).verdict().tellableAt();
        } catch (Stored.Unreadable e) {
            return null;
        }
    }

    /** Whether every dangerous look-alike on the card can be told at this stage. */
    boolean tellable(Taxon taxon, LifeStage stage) {
        return taxon.lookAlikes().stream()
                .filter(l -> herbarium.taxon(l.taxon()).danger().dangerous())
                .allMatch(l -> l.tellable().contains(stage));
    }

    /**
     * The stake rests on a look for what the stand is said to be now, and on those that agreed with it: where one of them was
     * struck out since, it is not certain any more.
     */
    boolean ofThisPlant(Stand stand, TagEntity tag) {
        boolean stands = all.findById(tag.identificationId)
                .filter(i -> i.forTaxon.equals(stand.taxonId()) && !i.struck())
                .isPresent();
        if (!stands) {
            return false;
        }
        List<IdentityOnRecord.Look> until = looks(stand).stream()
                .filter(l -> !l.on().isAfter(tag.confirmedOn))
                .toList();
        return certain(stand, tag.confirmedOn, until);
    }

    LookService.IdentificationView view(StandIdentification i) {
        StoredLook kept = StoredLook.DOCUMENT.read(i.look);
        return new LookService.IdentificationView(
                i.id,
                i.onDay,
                i.stage,
                i.conditions.isEmpty()
                        ? Set.of()
                        : Arrays.stream(i.conditions.split(","))
                                .map(LookingCondition::valueOf)
                                .collect(Collectors.toCollection(TreeSet::new)),
                i.status,
                i.taxonId,
                kept.verdict().genus(),
                StoredLook.Seen.views(kept.observations()),
                StoredLook.Seen.views(kept.again()),
                i.otherPlants,
                i.identifiedBy,
                i.secondObserver,
                i.book,
                // What somebody else saw is not gone on with: two people's looks would be one.
                Member.current().accountId().equals(i.lookedBy) && LookAgain.goesOn(i.look(), people.today()));
    }

    @Nullable
    String genus(StandIdentification i) {
        return StoredLook.DOCUMENT.read(i.look).verdict().genus();
    }

    void notInFuture(LocalDate on) {
        LocalDate today = people.today();
        Checks.begin()
                .that(!on.isAfter(today), "on", "must not be in the future")
                .that(on.isAfter(today.minusYears(20)), "on", "must be within twenty years")
                .done();
    }
}
