package org.sallowbrook.core.field;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.field.season.DayWeather;
import org.sallowbrook.core.field.season.Readiness;
import org.sallowbrook.core.herbarium.LifeStage;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.herbarium.Taxon.UsedPart;
import org.sallowbrook.core.household.Question;
import org.sallowbrook.core.household.School;
import org.sallowbrook.core.household.Schools;
import org.sallowbrook.core.identification.Identification;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Words;

/** Gates identity, site, re-check, neighbours and quota before anything is picked. */
public final class HarvestGate {

    /** Tells looked at again on the day. */
    public static final int LEAST_TELLS = 3;

    private static final double LIGHT = 0.5;

    /**
     * @param look that speaks for the stand on the day; null when none does
     * @param doubted whether somebody has since doubted it
     * @param second whether a look by other eyes, or at other plants, was needed and made
     * @param dangerousLookAlikes whether anything poisonous or deadly is taken for it
     * @param tellableNow whether it can be told from its dangerous look-alikes at the stage it is picked
     * @param tag the staked plant that is picked; null when the stand is picked
     */
    public record Identity(
            IdentityOnRecord.@Nullable Look look,
            boolean doubted,
            IdentityOnRecord.SecondLook second,
            boolean dangerousLookAlikes,
            boolean tellableNow,
            @Nullable Tag tag) {

        /** Told from what is dangerous, though it may want another look that agrees. */
        boolean confirmed() {
            return look != null && look.halfway();
        }

        private boolean half() {
            return look != null && look.status() == Identification.Status.SECOND_WANTED;
        }
    }

    /**
     * How old the plants are and what the year has brought.
     *
     * @param growingSince the year from which plants are known to grow there; null when nobody knows
     * @param frosts since the summer; null where nobody measures
     * @param readiness null where the card gives no months, or for another day than today
     */
    public record Season(
            @Nullable Integer growingSince,
            @Nullable Frosts frosts,
            @Nullable Readiness readiness) {
        public static final Season UNKNOWN = new Season(null, null, null);
    }

    /**
     * @param nights with frost since the summer
     * @param thaws days among them on which it froze and thawed
     */
    public record Frosts(int nights, int thaws) {

        /** So many thaws make it "frozen more than once"; a working figure of this tool. */
        static final int REPEATED = 3;

        public static Frosts of(List<DayWeather> since) {
            return new Frosts((int) since.stream().filter(DayWeather::frost).count(), (int)
                    since.stream().filter(DayWeather::thawedAfterFrost).count());
        }
    }

    /**
     * @param perPlant how much of the part of each plant is taken, 0..1; null where nobody said
     * @param sex of the plants; null where nobody said
     * @param shareTaken of the stand's part, 0..1, with this harvest
     * @param sharePicked already this season, 0..1
     * @param tells characters looked at again today that agree with the plant
     * @param openOnThePiece dangerous look-alikes that nothing looked at on the picked part tells apart, by {@link OnThePiece}
     * @param examinedSingly whether every piece was looked at by itself
     */
    public record Request(
            Taxon taxon,
            Taxon.Part part,
            Identity identity,
            Site site,
            LifeStage stage,
            LocalDate on,
            @Nullable Double perPlant,
            @Nullable Sex sex,
            double shareTaken,
            double sharePicked,
            Set<String> tells,
            List<OnThePiece.Open> openOnThePiece,
            boolean examinedSingly,
            Season season,
            Schools schools) {
        public Request {
            Checks checks =
                    Checks.begin().range("shareTaken", shareTaken, 0, 1).range("sharePicked", sharePicked, 0, 1);
            if (perPlant != null) {
                checks.range("perPlant", perPlant, 0, 1)
                        .that(
                                !(shareTaken > perPlant + 1e-9),
                                "perPlant",
                                "must not be less than the share of the whole stand");
            }
            checks.done();
            tells = Set.copyOf(tells);
            openOnThePiece = List.copyOf(openOnThePiece);
        }
    }

    private HarvestGate() {}

    public static List<Finding> check(Request request) {
        List<Finding> findings = new ArrayList<>();
        identity(request, findings);
        site(request.site(), request.examinedSingly(), findings);
        if (request.site().plenty() == Site.Plenty.FAIR
                && request.schools().of(Question.HOW_MUCH) == School.PLENTIFUL_ONLY) {
            findings.add(Finding.warn(
                    "NOT_PLENTIFUL",
                    "This household picks only from plentiful stands, and this one is not.",
                    "Pick where there is more, or say why here."));
        }
        part(request, findings);
        return findings;
    }

    /** Whether a change makes plants older than they were said to be, which may let their roots be dug. */
    public static boolean olderThanSaid(@Nullable Integer since, @Nullable Integer now) {
        return since != null && (now == null || now < since);
    }

    /**
     * Whether what was picked and not weighed then may still come into the house.
     *
     * @param look that speaks for the stand on the day it was picked; null when none does any more
     * @param second whether another look was needed, and made
     * @param doubted whether somebody has since doubted the stand
     */
    public static List<Finding> broughtHome(
            IdentityOnRecord.@Nullable Look look, IdentityOnRecord.SecondLook second, boolean doubted, Site site) {
        List<Finding> findings = new ArrayList<>();
        if (doubted || !IdentityOnRecord.certain(look, second)) {
            findings.add(Finding.stop(
                    "IDENTITY_DOUBTED",
                    "Since it was picked, what grows there has come into doubt.",
                    "Keep it apart and use nothing of it; throw it away, or identify the stand again first."));
        }
        if (site.ground() == Site.Ground.CONTAMINATED) {
            findings.add(Finding.stop(
                    "CONTAMINATED",
                    "Since it was picked, the ground was found to be contaminated.",
                    "Throw it away; washing does not help."));
        }
        return findings;
    }

    /** Nobody knows what grows there. */
    public static Finding unknownPlant() {
        return Finding.stop(
                "UNKNOWN_PLANT",
                "Nobody knows what this plant is.",
                "Watch it, and look again when it can be told; pick nothing of it.");
    }

    /** @param reason why nobody watches it any more */
    public static Finding putAway(String reason) {
        return Finding.stop(
                "PUT_AWAY",
                "This stand was put away: " + reason,
                "Bring it back first, and identify it again if it is long ago.");
    }

    /**
     * The most that may be taken of a stand's part, as a share of it all: of each plant times of the stand. Who only thins
     * lightly takes half of it, a working figure of this tool.
     */
    public static double quota(UsedPart part, Schools schools) {
        double most = part.gathering().sharePerPlant() * part.gathering().shareOfStand();
        return schools.of(Question.HOW_MUCH) == School.LIGHT_THINNING ? most * LIGHT : most;
    }

    /** What the household's schools say of picking this part. */
    public static List<String> advice(Taxon taxon, Taxon.Part part, Schools schools) {
        List<String> lines = new ArrayList<>();
        if (part == Taxon.Part.FRUIT) {
            lines.add(
                    switch (schools.of(Question.FRUIT_AND_FROST)) {
                        case FRUIT_AFTER_FROST -> "Wait for the first frost: softer and sweeter.";
                        case FRUIT_AFTER_FREEZING ->
                            "Wait until it has frozen more than once: sweetest, but leave what is broken or ferments.";
                        default -> "Pick before the frost: firm, clean and full of acid.";
                    });
        }
        if (!taxon.sexes().isEmpty()) {
            lines.add(
                    schools.of(Question.SEXES) == School.FEMALE_ONLY
                            ? "Female plants only. " + taxon.sexes()
                            : "Male and female plants differ: " + taxon.sexes());
        }
        return lines;
    }

    private static void identity(Request request, List<Finding> findings) {
        Taxon taxon = request.taxon();
        Identity identity = request.identity();
        if (identity.doubted()) {
            findings.add(Finding.stop(
                    "IDENTITY_DOUBTED",
                    "Somebody has doubted what this stand is.",
                    "Identify it again, with a second person, before anything is picked."));
        } else if (!identity.confirmed()) {
            findings.add(Finding.stop(
                    "NOT_IDENTIFIED",
                    "It is not certain that this is " + taxon.commonName() + ".",
                    "Identify the stand first; wait for the stage at which it can be told."));
        } else {
            if (identity.second() == IdentityOnRecord.SecondLook.WANTED) {
                findings.add(Finding.stop(
                        "SECOND_LOOK",
                        identity.half()
                                ? "One look told it from what is dangerous, but not by enough to stand alone."
                                : "Something deadly is taken for " + taxon.commonName()
                                        + ", and only one look is on record.",
                        "Let somebody else look, without telling them what it came to, or look yourself on another day"
                                + " at other plants of the stand."));
            }
            ofAnotherTime(request, findings);
        }
        if (!identity.tellableNow() && !identity.doubted()) {
            untellable(request, findings);
        }
        if (identity.dangerousLookAlikes() && !request.examinedSingly()) {
            findings.add(Finding.stop(
                    "EXAMINE_SINGLY",
                    "Something poisonous is taken for " + taxon.commonName() + ", and it may stand among it.",
                    "Never in handfuls: look at every piece by itself for what tells them apart, and not by scent."));
        }
        if (taxon.draft() || taxon.danger().dangerous()) {
            findings.add(Finding.stop(
                    "NOT_FOR_HARVEST",
                    taxon.commonName() + " is not a plant to gather"
                            + (taxon.draft() ? ": its card is not complete." : "."),
                    "Leave it."));
        }
        if (request.part() == Taxon.Part.ROOT && !request.examinedSingly()) {
            findings.add(Finding.stop(
                    "ROOTS_SINGLY",
                    "Roots of several plants grow into each other, and some kill.",
                    "Dig and look at each root by itself: swollen tubers, chambers or coloured juice mean STOP."));
        }
        if (taxon.halfParasite()) {
            findings.add(Finding.warn(
                    "HALF_PARASITE",
                    taxon.commonName() + " draws on the roots of its neighbours, and what poisons they hold.",
                    "Look what grows around it; beside ragwort, hemlock or another poisonous plant leave it."));
        }
        for (OnThePiece.Open open : request.openOnThePiece()) {
            findings.add(Finding.stop(
                    "NOT_ON_THE_PIECE",
                    "Nothing that was looked at again on the piece itself tells it from "
                            + open.other().commonName() + ".",
                    open.by().isEmpty()
                            ? "Nothing on this part tells the two apart now. Pick more of the plant, or leave it."
                            : "Look, on each piece in the hand, at: " + String.join(", ", open.by()) + "."));
        }
        if (request.tells().size() < LEAST_TELLS) {
            findings.add(Finding.stop(
                    "RECHECK",
                    "The stand may have been invaded since it was identified; "
                            + request.tells().size() + " of " + LEAST_TELLS + " tells were looked at again.",
                    "Look at three characters again on what you are picking."));
        }
    }

    /** A verdict holds for a year and for the stage at which it was given. */
    private static void ofAnotherTime(Request request, List<Finding> findings) {
        IdentityOnRecord.Look look =
                java.util.Objects.requireNonNull(request.identity().look());
        String plant = request.taxon().commonName();
        Tag tag = request.identity().tag();
        boolean staked = tag != null && tag.validOn(request.on());
        if (!staked && !IdentityOnRecord.fresh(look, request.on())) {
            findings.add(Finding.stop(
                    "IDENTITY_AGED",
                    "It was last identified on " + Words.day(look.on()) + ", more than " + Tag.VALID_DAYS
                            + " days ago.",
                    "Look again, all of it: what grows here may have changed."));
        }
        if (look.stage() == request.stage() || staked) {
            return;
        }
        if (request.identity().dangerousLookAlikes()) {
            findings.add(Finding.stop(
                    "STAGE_NOT_SEEN",
                    "It was identified " + look.stage().words() + " and is picked "
                            + request.stage().words()
                            + "; what excluded its poisonous look-alikes then need not be on it now.",
                    "Identify it as it stands now, or pick plants that were staked when they could be told."));
        } else {
            findings.add(Finding.warn(
                    "STAGE_NOT_SEEN",
                    plant + " was identified " + look.stage().words() + " and is picked "
                            + request.stage().words() + ".",
                    "Identify it as it stands now, or say what makes you sure."));
        }
    }

    /** At a stage where it can't be told, only plants staked when they could be, each looked at singly. */
    private static void untellable(Request request, List<Finding> findings) {
        String plant = request.taxon().commonName();
        Tag tag = request.identity().tag();
        if (tag == null) {
            findings.add(Finding.stop(
                    "NOT_TELLABLE_NOW",
                    plant + " can't be told from its dangerous look-alikes at this stage.",
                    "Pick only plants that were tagged with a stake when they could be told, or wait."));
        } else if (!tag.validOn(request.on())) {
            findings.add(Finding.stop(
                    "TAG_EXPIRED",
                    "The stake " + tag.stake() + " rests on an identification of " + Words.day(tag.confirmedOn())
                            + ", more than " + tag.daysKept() + " days ago or after this day.",
                    "Identify the plant again when it can be told."));
        } else if (!request.examinedSingly()) {
            findings.add(Finding.stop(
                    "TAG_SINGLY",
                    "A tagged plant is looked at by itself, and every root with it.",
                    "Look at each piece singly: swollen tubers, hollow chambers or coloured juice mean leave it."));
        }
    }

    private static void site(Site site, boolean examinedSingly, List<Finding> findings) {
        switch (site.ground()) {
            case CONTAMINATED ->
                findings.add(Finding.stop(
                        "CONTAMINATED",
                        "This ground is contaminated; plants take up what is in it and washing does not help.",
                        "Pick elsewhere."));
            case UNKNOWN ->
                findings.add(Finding.warn(
                        "GROUND_UNKNOWN",
                        "Nobody has recorded whether this ground is sprayed, flooded or beside a road.",
                        "Ask, look round, and record it on the stand."));
            case CLEAN -> {}
        }
        switch (site.permission()) {
            case REFUSED ->
                findings.add(
                        Finding.stop("NOT_PERMITTED", "The owner does not allow picking here.", "Pick elsewhere."));
            case UNKNOWN ->
                findings.add(Finding.warn(
                        "PERMISSION_UNKNOWN",
                        "It is not recorded whose land this is and whether picking is allowed.",
                        "Ask the owner; local law decides."));
            case OWN_GARDEN, GIVEN -> {}
        }
        if (site.protectedSpecies()) {
            findings.add(Finding.stop(
                    "PROTECTED",
                    "The plant or the place is protected.",
                    "Look up the local rule; leave it standing unless the rule allows it."));
        }
        if (site.plenty() == Site.Plenty.SCARCE || site.plenty() == Site.Plenty.DECLINING) {
            findings.add(Finding.stop(
                    "SCARCE", "This stand is scarce or declining.", "Leave it to recover; pick elsewhere."));
        }
        if (site.neighbour() != null && !examinedSingly) {
            findings.add(Finding.stop(
                    "MIXED_STAND",
                    site.neighbour() + " grows within this stand and is easily grabbed with it.",
                    "Never pick here in handfuls: look at every piece by itself, and not by scent."));
        }
    }

    /** A root or bark of a plant too young is too little of it, and its death for nothing. */
    private static void age(Request request, UsedPart part, List<Finding> findings) {
        Integer least = part.gathering().leastAgeYears();
        Integer since = request.season().growingSince();
        if (least == null) {
            return;
        }
        if (since == null) {
            findings.add(Finding.warn(
                    "AGE_UNKNOWN",
                    "This part is taken of plants of " + least + " years or more, and nobody has noted since when these"
                            + " grow here.",
                    "Note the year on the stand, or take only the largest and say why."));
        } else if (request.on().getYear() - since < least) {
            findings.add(Finding.stop(
                    "TOO_YOUNG",
                    "These plants grow here since " + since + "; this part is taken from " + least + " years on.",
                    "Leave them until " + (since + least) + "."));
        }
    }

    /** What flowers in its second year and does so in its first is perhaps another plant, or its first year is another. */
    private static void biennial(Request request, UsedPart part, List<Finding> findings) {
        Integer since = request.season().growingSince();
        if (since == null
                || since != request.on().getYear()
                || !request.taxon().biennial()
                || part.gathering().stages().contains(LifeStage.ROSETTE)) {
            return;
        }
        findings.add(Finding.warn(
                "FIRST_YEAR",
                request.taxon().commonName() + " makes only leaves in its first year, and these are said to grow here"
                        + " since this one; this part comes in the second.",
                "Look again what it is; if it is right, put the year right on the stand, or come back next year."));
    }

    private static void frost(Request request, UsedPart part, List<Finding> findings) {
        School school = request.schools().of(Question.FRUIT_AND_FROST);
        boolean fruit = part.part() == Taxon.Part.FRUIT && part.gathering().frost() == Taxon.Frost.EITHER;
        boolean after = part.gathering().frost() == Taxon.Frost.AFTER
                || fruit && (school == School.FRUIT_AFTER_FROST || school == School.FRUIT_AFTER_FREEZING);
        boolean before = part.gathering().frost() == Taxon.Frost.BEFORE
                || fruit && school != School.FRUIT_AFTER_FROST && school != School.FRUIT_AFTER_FREEZING;
        Frosts frosts = request.season().frosts();
        Boolean frozen = frosts == null ? null : (Boolean) (frosts.nights() > 0);
        if (frozen == null && (after || part.gathering().frost() == Taxon.Frost.BEFORE)) {
            findings.add(Finding.note(
                    "FROST_UNKNOWN",
                    "Whether it has frozen yet is not on record, and it matters for this part.",
                    "Read the weather in, or go by what you saw."));
        } else if (after && Boolean.FALSE.equals(frozen)) {
            findings.add(Finding.trifle(
                    "BEFORE_FROST",
                    "It has not frozen yet; this is picked after the first frost.",
                    "Wait for it, or say why not; a night in the freezer does much the same to fruit."));
        } else if (frosts != null
                && fruit
                && school == School.FRUIT_AFTER_FREEZING
                && frosts.thaws() < Frosts.REPEATED) {
            findings.add(Finding.trifle(
                    "FROZEN_ONCE",
                    "It has frozen and thawed " + frosts.thaws() + (frosts.thaws() == 1 ? " time" : " times")
                            + "; this household picks after repeated freezing.",
                    "Wait for " + (Frosts.REPEATED - frosts.thaws()) + " more, or say why not."));
        } else if (before && Boolean.TRUE.equals(frozen)) {
            findings.add(Finding.trifle(
                    "AFTER_FROST",
                    "It has frozen already; this is picked before the first frost.",
                    "Leave what is soft or broken, or leave it all until next year."));
        }
    }

    /** What stands at its stage out of its time is looked at twice: perhaps it is something else. */
    private static void time(Request request, UsedPart part, List<Finding> findings) {
        Readiness r = request.season().readiness();
        if (r == null || r.seen() || !part.gathering().stages().contains(request.stage())) {
            return;
        }
        if (r.state() == Readiness.State.LATER
                && r.early() != null
                && request.on().isBefore(r.early())) {
            findings.add(Finding.note(
                    "EARLY",
                    "It was hardly expected before " + Words.day(r.early()) + ".",
                    "Look twice that it is what you take it for; if it is, note when it began."));
        } else if (r.state() == Readiness.State.OVER) {
            findings.add(Finding.note(
                    "OUT_OF_SEASON",
                    "It was expected to be over by about " + Words.day(r.until()) + ".",
                    "Look twice that it is what you take it for, and that it is still fresh."));
        }
    }

    private static void sex(Request request, List<Finding> findings) {
        boolean male = request.sex() == Sex.MALE || request.sex() == Sex.BOTH;
        if (male && !request.taxon().sexes().isEmpty() && request.schools().of(Question.SEXES) == School.FEMALE_ONLY) {
            findings.add(Finding.trifle(
                    "MALE_PLANTS",
                    "This household picks of female plants only, and some of these are male.",
                    "Leave the male ones, or say why they are taken."));
        }
    }

    private static void part(Request request, List<Finding> findings) {
        UsedPart part = request.taxon().usedPart(request.part()).orElse(null);
        if (part == null) {
            findings.add(Finding.stop(
                    "PART_NOT_USED",
                    "The card knows no use of this part of " + request.taxon().commonName() + ".",
                    "Choose one of the parts on the card."));
            return;
        }
        if (!part.gathering().stages().contains(request.stage())) {
            findings.add(Finding.trifle(
                    "NOT_THE_MOMENT",
                    "This is not the moment for this part: " + part.gathering().moment(),
                    "Come back then."));
        }
        age(request, part, findings);
        biennial(request, part, findings);
        frost(request, part, findings);
        time(request, part, findings);
        sex(request, findings);
        if (request.taxon().origin() == Taxon.Origin.INVASIVE) {
            findings.add(Finding.note(
                    "TAKE_ALL",
                    request.taxon().commonName()
                            + " spreads at the cost of what grew here; there is no share to leave.",
                    "Take all of it. What you do not use, dry to death on a sheet or give to the waste that is burnt: never on"
                            + " the compost, never back outside."));
            return;
        }
        if (request.perPlant() != null && request.perPlant() > part.gathering().sharePerPlant() + 1e-9) {
            findings.add(Finding.warn(
                    "OVER_PLANT_SHARE",
                    Words.percent(request.perPlant()) + " of each plant is taken; "
                            + Words.percent(part.gathering().sharePerPlant()) + " is what one plant can spare.",
                    "Take less of each, and of more plants, or say why."));
        }
        double all = request.shareTaken() + request.sharePicked();
        double quota = quota(part, request.schools());
        if (all > quota + 1e-9) {
            findings.add(Finding.warn(
                    "OVER_QUOTA",
                    "With this, " + Words.percent(all) + " of the stand is taken this season; " + Words.percent(quota)
                            + " is its share.",
                    "Leave the rest for insects, seed and next year."));
        }
    }
}
