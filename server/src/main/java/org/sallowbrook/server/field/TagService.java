package org.sallowbrook.server.field;

import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.field.IdentityOnRecord;
import org.sallowbrook.core.field.Tag;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.server.herbarium.HerbariumService;
import org.sallowbrook.server.household.PeopleService;
import org.sallowbrook.server.platform.Member;
import org.sallowbrook.server.platform.Once;
import org.sallowbrook.server.platform.Problem;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Staked plants: confirmed when they could be told, found again when they can't. */
@Service
@Transactional
public class TagService {

    /** @param place where it stands, in words */
    public record TagRequest(
            UUID id,
            String stake,
            String place,
            @Nullable Double latitude,
            @Nullable Double longitude) {}

    public record TagView(
            UUID id,
            UUID standId,
            String stake,
            String place,
            @Nullable Double latitude,
            @Nullable Double longitude,
            LocalDate confirmedOn,
            LocalDate validUntil,
            Boolean valid,
            String taggedBy) {}

    private final Tags tags;
    private final Stands stands;
    private final StandIdentifications identifications;
    private final LookReader looks;
    private final HerbariumService herbarium;
    private final PeopleService people;
    private final Once once;

    TagService(
            Tags tags,
            Stands stands,
            StandIdentifications identifications,
            LookReader looks,
            HerbariumService herbarium,
            PeopleService people,
            Once once) {
        this.looks = looks;
        this.herbarium = herbarium;
        this.once = once;
        this.tags = tags;
        this.stands = stands;
        this.identifications = identifications;
        this.people = people;
    }

    /** Tags a plant of a stand whose newest identification is CONFIRMED. @throws Problem.Refused when it is not */
    public TagView tag(UUID standId, TagRequest request) {
        Stand stand = stands.findById(standId).orElseThrow(() -> new Problem.NotFound("stand"));
        if (once.repeated("tag", request.id(), tags::existsById, standId, request)) {
            return view(tags.findById(request.id()).orElseThrow(() -> new Problem.NotFound("tag")));
        }
        StandIdentification newest = identifications
                .findFirstByStandIdOrderByOnDayDescKeptAtDesc(standId)
                .orElse(null);
        List<IdentityOnRecord.Look> seen = looks.looks(stand);
        IdentityOnRecord.Look look = looks.speaking(stand, people.today(), seen);
        if (newest == null
                || look == null
                || !looks.certain(stand, people.today(), seen)
                || !IdentityOnRecord.fresh(look, people.today())
                || stand.doubted) {
            throw new Problem.Refused(List.of(Finding.stop(
                    "TAG_UNCONFIRMED",
                    "Only a plant that is certain today can be tagged for later.",
                    "Identify it first, at a stage at which it can be told.")));
        }
        check(request);
        TagEntity tag = new TagEntity(request.id());
        tag.standId = standId;
        tag.identificationId = newest.id;
        tag.stake = Tag.of(request.stake().strip(), newest.onDay, herbarium.taxon(stand.taxonId()))
                .stake();
        tag.place = request.place().strip();
        tag.latitude = request.latitude();
        tag.longitude = request.longitude();
        tag.confirmedOn = newest.onDay;
        tag.taggedBy = Member.current().displayName();
        return view(tags.saveAndFlush(tag));
    }

    private static void check(TagRequest request) {
        Checks checks = Checks.begin()
                .that(
                        !request.stake().isBlank() && request.stake().length() <= 60,
                        "stake",
                        "must have 1 to 60 letters")
                .that(
                        !request.place().isBlank() && request.place().length() <= 300,
                        "place",
                        "must have 1 to 300 letters")
                .that(
                        (request.latitude() == null) == (request.longitude() == null),
                        "longitude",
                        "is given together with latitude, or neither");
        if (request.latitude() != null) {
            checks.range("latitude", request.latitude(), -90, 90);
        }
        if (request.longitude() != null) {
            checks.range("longitude", request.longitude(), -180, 180);
        }
        checks.done();
    }

    @Transactional(readOnly = true)
    public List<TagView> tags(UUID standId) {
        stands.findById(standId).orElseThrow(() -> new Problem.NotFound("stand"));
        return tags.findAllByStandIdOrderByStake(standId).stream()
                .map(this::view)
                .toList();
    }

    /** Of every stand, those that still hold: for a device that goes where there is no line. */
    @Transactional(readOnly = true)
    public List<TagView> tags() {
        return tags
                .findAllByConfirmedOnGreaterThanEqualOrderByStake(people.today().minusDays(Tag.MOST_DAYS))
                .stream()
                .map(this::view)
                .filter(TagView::valid)
                .toList();
    }

    private TagView view(TagEntity t) {
        LocalDate today = people.today();
        Stand stand = stands.findById(t.standId).orElseThrow(() -> new Problem.NotFound("stand"));
        Tag tag = t.toCore(herbarium.taxon(stand.taxonId()));
        return new TagView(
                t.id,
                t.standId,
                t.stake,
                t.place,
                t.latitude,
                t.longitude,
                t.confirmedOn,
                tag.keptUntil(),
                tag.validOn(today),
                t.taggedBy);
    }
}
