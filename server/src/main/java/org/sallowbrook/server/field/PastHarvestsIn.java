package org.sallowbrook.server.field;

import java.util.List;
import java.util.Objects;
import java.util.UUID;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.InvalidInput;
import org.sallowbrook.core.measure.Words;
import org.sallowbrook.server.household.PeopleService;
import org.sallowbrook.server.platform.ListIn;
import org.sallowbrook.server.platform.Member;
import org.sallowbrook.server.platform.Owned;
import org.sallowbrook.server.platform.Problem;
import org.springframework.stereotype.Component;

/** What was picked in years before this book, so that a stand's outlook and the year's plan know of it. */
@Component
class PastHarvestsIn implements ListIn {

    private static final double MOST_G = 1_000_000;
    private static final int YEARS = 60;

    private final PastHarvests past;
    private final Stands stands;
    private final PeopleService people;

    PastHarvestsIn(PastHarvests past, Stands stands, PeopleService people) {
        this.past = past;
        this.stands = stands;
        this.people = people;
    }

    @Override
    public String name() {
        return "past-harvests";
    }

    @Override
    public String words() {
        return "Harvests of past years";
    }

    @Override
    public String hint() {
        return "The stand must be here under the same name. Nothing of it is in the house: it counts for the stand's outlook"
                + " and for what a stand bears. What was picked this year is entered at its stand.";
    }

    @Override
    public List<Column> columns() {
        return List.of(
                Column.text("stand", "Stand").must(),
                Column.choice("part", "Part", Stream.of(Taxon.Part.values())).must(),
                Column.of("year", "Year", Kind.WHOLE).must(),
                Column.number("massG", "Fresh mass", "g", "mass", "weight", "amount"),
                Column.number("share", "Share taken", "%", "share"),
                Column.text("words", "Notes", "words", "note", "remarks"));
    }

    @Override
    public String same(Line line) {
        return line.alike("stand", "part", "year", "massG", "share", "words");
    }

    @Override
    public boolean here(Line line) {
        Integer year = line.whole("year");
        return past
                .findAllByStandIdAndPartAndInYear(
                        stand(line).id, line.choice("part", Taxon.Part.class, Taxon.Part.LEAF), year == null ? 0 : year)
                .stream()
                .anyMatch(h -> Objects.equals(h.massG, line.number("massG"))
                        && Objects.equals(h.shareTaken, share(line))
                        && h.words.equals(line.textOr("words", "")));
    }

    private static @Nullable Double share(Line line) {
        Double percent = line.number("share");
        return percent == null ? null : percent / 100;
    }

    private Stand stand(Line line) {
        List<Stand> called = stands.findAllByNameIgnoreCaseAndPutAwayOnIsNull(line.textOr("stand", ""));
        if (called.size() == 1) {
            return called.get(0);
        }
        throw new InvalidInput(List.of(new InvalidInput.Violation(
                "stand",
                called.isEmpty()
                        ? "is not here by this name; enter the stand first"
                        : "is the name of several stands; give them names of their own first")));
    }

    @Override
    public Brought take(Line line) {
        Stand stand = stand(line);
        Integer year = line.whole("year");
        Double mass = line.number("massG");
        Double share = line.number("share");
        int now = people.today().getYear();
        Checks checks = Checks.begin()
                .that(
                        year != null && year < now && year >= now - YEARS,
                        "year",
                        "must be a past one, within " + YEARS + " years")
                .that(
                        line.textOr("words", "").length() <= MOST_WORDS,
                        "words",
                        "must have at most " + MOST_WORDS + " letters")
                .that(mass != null || share != null, "massG", "or the share taken is wanted");
        if (mass != null) {
            checks.range("massG", mass, 0.1, MOST_G);
        }
        if (share != null) {
            checks.range("share", share, 0, 100);
        }
        checks.done();
        PastHarvest harvest = new PastHarvest(Owned.newId());
        harvest.standId = stand.id;
        harvest.part = line.choice("part", Taxon.Part.class, Taxon.Part.LEAF);
        harvest.inYear = year == null ? 0 : year;
        harvest.massG = mass;
        harvest.shareTaken = share(line);
        harvest.words = line.textOr("words", "");
        harvest.notedBy = Member.current().displayName();
        past.saveAndFlush(harvest);
        return new Brought(
                harvest.id.toString(),
                stand.name + ", " + Words.lower(harvest.part) + " " + harvest.inYear
                        + (mass == null ? "" : ", " + Words.grams(mass)));
    }

    private static final int MOST_WORDS = 300;

    @Override
    public void takeBack(String handle) {
        past.delete(past.findById(UUID.fromString(handle)).orElseThrow(() -> new Problem.NotFound("harvest")));
        past.flush();
    }
}
