package org.sallowbrook.core.field;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.field.IdentityOnRecord.SecondLook;
import org.sallowbrook.core.field.season.Place;
import org.sallowbrook.core.field.season.Progress;
import org.sallowbrook.core.field.season.Readiness;
import org.sallowbrook.core.herbarium.Cards;
import org.sallowbrook.core.herbarium.Danger;
import org.sallowbrook.core.herbarium.Herbarium;
import org.sallowbrook.core.herbarium.LifeStage;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.household.School;
import org.sallowbrook.core.household.Schools;
import org.sallowbrook.core.identification.Identification.Status;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Severity;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** From a harvest with nothing against it, each fault by itself. */
public class HarvestGateTest {

    private static final Taxon HERB =
            Cards.card("x").part(0.5, 0.4, Set.of(Taxon.Route.INTERNAL)).build();
    private static final Site SITE =
            new Site(Site.Ground.CLEAN, Site.Permission.GIVEN, Site.Plenty.PLENTIFUL, false, null);
    private static final HarvestGate.Identity SURE =
            new HarvestGate.Identity(look(Status.CONFIRMED), false, SecondLook.NOT_NEEDED, false, true, null);

    private static final LocalDate DAY = LocalDate.of(2026, 7, 1);

    private static IdentityOnRecord.Look look(Status status) {
        return new IdentityOnRecord.Look(
                "x",
                LocalDate.of(2026, 6, 28),
                Instant.parse("2026-06-28T09:00:00Z"),
                LifeStage.FLOWERING,
                status,
                "ilse",
                false);
    }

    private static final Set<String> TELLS = Set.of("c0", "c1", "c2");

    private static List<String> codes(
            Taxon taxon,
            Taxon.Part part,
            HarvestGate.Identity identity,
            Site site,
            LifeStage stage,
            double share,
            double picked,
            Set<String> tells,
            boolean singly) {
        return HarvestGate.check(new HarvestGate.Request(
                        taxon,
                        part,
                        identity,
                        site,
                        stage,
                        LocalDate.of(2026, 7, 1),
                        null,
                        null,
                        share,
                        picked,
                        tells,
                        List.of(),
                        singly,
                        HarvestGate.Season.UNKNOWN,
                        Schools.USUAL))
                .stream()
                .map(Finding::code)
                .toList();
    }

    private static List<String> from(HarvestGate.Identity identity, Site site) {
        return codes(HERB, Taxon.Part.HERB, identity, site, LifeStage.FLOWERING, 0.1, 0, TELLS, false);
    }

    @Test
    public void aCarefulHarvestPasses() {
        assertThat(from(SURE, SITE)).isEmpty();
    }

    @DataProvider
    public Object[][] identities() {
        return new Object[][] {
            {new HarvestGate.Identity(null, false, SecondLook.NOT_NEEDED, false, true, null), "NOT_IDENTIFIED"},
            {
                new HarvestGate.Identity(look(Status.NOT_YET), false, SecondLook.NOT_NEEDED, false, true, null),
                "NOT_IDENTIFIED"
            },
            {
                new HarvestGate.Identity(look(Status.STOP), false, SecondLook.NOT_NEEDED, false, true, null),
                "NOT_IDENTIFIED"
            },
            {
                new HarvestGate.Identity(look(Status.CONFIRMED), true, SecondLook.NOT_NEEDED, false, true, null),
                "IDENTITY_DOUBTED"
            },
        };
    }

    @Test(dataProvider = "identities")
    public void onlyACertainStandIsPicked(HarvestGate.Identity identity, String code) {
        assertThat(from(identity, SITE)).containsExactly(code);
    }

    @DataProvider
    public Object[][] sites() {
        return new Object[][] {
            {
                new Site(Site.Ground.CONTAMINATED, Site.Permission.GIVEN, Site.Plenty.PLENTIFUL, false, null),
                "CONTAMINATED"
            },
            {new Site(Site.Ground.UNKNOWN, Site.Permission.GIVEN, Site.Plenty.PLENTIFUL, false, null), "GROUND_UNKNOWN"
            },
            {new Site(Site.Ground.CLEAN, Site.Permission.REFUSED, Site.Plenty.PLENTIFUL, false, null), "NOT_PERMITTED"},
            {
                new Site(Site.Ground.CLEAN, Site.Permission.UNKNOWN, Site.Plenty.PLENTIFUL, false, null),
                "PERMISSION_UNKNOWN"
            },
            {new Site(Site.Ground.CLEAN, Site.Permission.OWN_GARDEN, Site.Plenty.SCARCE, false, null), "SCARCE"},
            {new Site(Site.Ground.CLEAN, Site.Permission.GIVEN, Site.Plenty.DECLINING, false, null), "SCARCE"},
            {new Site(Site.Ground.CLEAN, Site.Permission.GIVEN, Site.Plenty.PLENTIFUL, true, null), "PROTECTED"},
            {new Site(Site.Ground.CLEAN, Site.Permission.GIVEN, Site.Plenty.PLENTIFUL, false, "hemlock"), "MIXED_STAND"
            },
        };
    }

    @Test(dataProvider = "sites")
    public void eachFaultOfTheSiteSpeaks(Site site, String code) {
        assertThat(from(SURE, site)).containsExactly(code);
    }

    /** A household that picks only where there is plenty is told of a fair stand. */
    @Test
    public void whoPicksWhereThereIsPlentyIsToldWhereThereIsNot() {
        Site fair = new Site(Site.Ground.CLEAN, Site.Permission.GIVEN, Site.Plenty.FAIR, false, null);
        List<String> codes = HarvestGate.check(new HarvestGate.Request(
                        HERB,
                        Taxon.Part.HERB,
                        SURE,
                        fair,
                        LifeStage.FLOWERING,
                        DAY,
                        null,
                        null,
                        0.05,
                        0,
                        TELLS,
                        List.of(),
                        false,
                        HarvestGate.Season.UNKNOWN,
                        Schools.USUAL.with(School.FIXED_SHARE)))
                .stream()
                .map(Finding::code)
                .toList();
        assertThat(codes).doesNotContain("NOT_PLENTIFUL");
        assertThat(from(SURE, fair)).containsExactly("NOT_PLENTIFUL");
    }

    @Test
    public void aMixedStandIsPickedPieceByPiece() {
        Site mixed = new Site(Site.Ground.CLEAN, Site.Permission.GIVEN, Site.Plenty.PLENTIFUL, false, "hemlock");
        assertThat(codes(HERB, Taxon.Part.HERB, SURE, mixed, LifeStage.FLOWERING, 0.1, 0, TELLS, true))
                .isEmpty();
    }

    @Test
    public void twoTellsAreTooFew() {
        assertThat(codes(HERB, Taxon.Part.HERB, SURE, SITE, LifeStage.FLOWERING, 0.1, 0, Set.of("c0", "c1"), false))
                .containsExactly("RECHECK");
    }

    /** Half of each plant on four plants in ten is a fifth of the stand, whatever was picked before included. */
    @Test
    public void theQuotaIsTheProductOfBothSharesOverTheSeason() {
        assertThat(HarvestGate.quota(HERB.parts().get(0), Schools.USUAL)).isEqualTo(0.2);
        assertThat(HarvestGate.quota(HERB.parts().get(0), Schools.USUAL.with(School.LIGHT_THINNING)))
                .isEqualTo(0.1);
        assertThat(codes(HERB, Taxon.Part.HERB, SURE, SITE, LifeStage.FLOWERING, 0.1, 0.1, TELLS, false))
                .isEmpty();
        assertThat(codes(HERB, Taxon.Part.HERB, SURE, SITE, LifeStage.FLOWERING, 0.1, 0.11, TELLS, false))
                .containsExactly("OVER_QUOTA");
    }

    @Test
    public void theWrongMomentWarnsAndAnUnusedPartStops() {
        assertThat(codes(HERB, Taxon.Part.HERB, SURE, SITE, LifeStage.FRUITING, 0.1, 0, TELLS, false))
                .containsExactly("STAGE_NOT_SEEN", "NOT_THE_MOMENT");
        assertThat(codes(HERB, Taxon.Part.FRUIT, SURE, SITE, LifeStage.FLOWERING, 0.1, 0, TELLS, false))
                .containsExactly("PART_NOT_USED");
    }

    @Test
    public void rootsAreLookedAtOneByOne() {
        assertThat(codes(HERB, Taxon.Part.ROOT, SURE, SITE, LifeStage.FLOWERING, 0.1, 0, TELLS, false))
                .contains("ROOTS_SINGLY");
        assertThat(codes(HERB, Taxon.Part.ROOT, SURE, SITE, LifeStage.FLOWERING, 0.1, 0, TELLS, true))
                .doesNotContain("ROOTS_SINGLY");
    }

    @Test
    public void draftsAndDangerousPlantsAreLeft() {
        Taxon draft = Cards.card("x")
                .draft()
                .part(0.5, 0.4, Set.of(Taxon.Route.INTERNAL))
                .build();
        Taxon deadly = Cards.card("x").danger(Danger.DEADLY).build();
        assertThat(codes(draft, Taxon.Part.HERB, SURE, SITE, LifeStage.FLOWERING, 0.1, 0, TELLS, false))
                .containsExactly("NOT_FOR_HARVEST");
        assertThat(codes(deadly, Taxon.Part.HERB, SURE, SITE, LifeStage.FLOWERING, 0.1, 0, TELLS, false))
                .contains("NOT_FOR_HARVEST", "PART_NOT_USED");
    }

    private static HarvestGate.Identity untellable(@Nullable Tag tag) {
        return new HarvestGate.Identity(look(Status.CONFIRMED), false, SecondLook.NOT_NEEDED, false, false, tag);
    }

    @DataProvider
    public Object[][] tags() {
        return new Object[][] {
            {null, true, "NOT_TELLABLE_NOW"},
            {new Tag("blue 3", DAY.minusDays(Tag.VALID_DAYS + 1), Tag.VALID_DAYS), true, "TAG_EXPIRED"},
            {new Tag("blue 3", DAY.plusDays(1), Tag.VALID_DAYS), true, "TAG_EXPIRED"},
            {new Tag("blue 3", DAY.minusDays(100), Tag.VALID_DAYS), false, "TAG_SINGLY"},
        };
    }

    /** Where it can't be told, only a staked plant that is still good, each piece looked at. */
    @Test(dataProvider = "tags")
    public void whereItCantBeToldOnlyATagHelps(Tag tag, boolean singly, String code) {
        assertThat(codes(HERB, Taxon.Part.HERB, untellable(tag), SITE, LifeStage.FLOWERING, 0.1, 0, TELLS, singly))
                .containsExactly(code);
    }

    @Test
    public void aTagKeepsItsVerdictForItsTimeAndNeverLiftsADoubt() {
        Tag tag = new Tag("blue 3", DAY.minusDays(Tag.VALID_DAYS), Tag.VALID_DAYS);
        assertThat(codes(HERB, Taxon.Part.HERB, untellable(tag), SITE, LifeStage.FLOWERING, 0.1, 0, TELLS, true))
                .isEmpty();
        assertThat(codes(
                        HERB,
                        Taxon.Part.HERB,
                        new HarvestGate.Identity(
                                look(Status.CONFIRMED), true, SecondLook.NOT_NEEDED, false, false, tag),
                        SITE,
                        LifeStage.FLOWERING,
                        0.1,
                        0,
                        TELLS,
                        true))
                .containsExactly("IDENTITY_DOUBTED");
    }

    @DataProvider
    public Object[][] lives() {
        return new Object[][] {
            {"annual herb", 300, false},
            {"biennial herb", 390, true},
            {"biennial herb", 410, false},
            {"perennial herb", 1000, true},
            {"perennial herb", 1100, false},
            {"dwarf shrub", 1100, true},
            {"evergreen tree", 1800, true},
            {"tree", 1830, false},
        };
    }

    /** Known here: a staked plant keeps its name as long as it may be the same one, however old the look is. */
    @Test(dataProvider = "lives")
    public void aStakedPlantIsKnownForAsLongAsItLives(String form, int days, boolean known) {
        Taxon plant = Cards.card("x").lifeForm(form).build();
        Tag tag = Tag.of("blue 3", DAY.minusDays(days), plant);
        var old = new IdentityOnRecord.Look(
                "x", DAY.minusDays(days), Instant.EPOCH, LifeStage.FLOWERING, Status.CONFIRMED, "ilse", false);
        var identity = new HarvestGate.Identity(old, false, SecondLook.NOT_NEEDED, false, false, tag);
        List<String> codes = codes(HERB, Taxon.Part.HERB, identity, SITE, LifeStage.LEAFY, 0.1, 0, TELLS, true);
        assertThat(codes.contains("TAG_EXPIRED")).isEqualTo(!known);
        assertThat(codes.contains("IDENTITY_AGED")).isEqualTo(!known && days > Tag.VALID_DAYS);
    }

    // ---- what a verdict holds for

    private static IdentityOnRecord.Look look(String taxon, int daysBefore, int keptHour, Status status) {
        return new IdentityOnRecord.Look(
                taxon,
                DAY.minusDays(daysBefore),
                Instant.parse("2026-07-01T00:00:00Z").plusSeconds(keptHour * 3600L),
                LifeStage.FLOWERING,
                status,
                "ilse",
                false);
    }

    @DataProvider
    public Object[][] records() {
        return new Object[][] {
            {"the plant of the stand was changed", List.of(look("y", 1, 1, Status.CONFIRMED)), null},
            {
                "changed, and changed back",
                List.of(look("x", 3, 1, Status.CONFIRMED), look("y", 2, 2, Status.CONFIRMED)),
                null
            },
            {"looked at after the day", List.of(look("x", -1, 1, Status.CONFIRMED)), null},
            {
                "two on one day: the later kept",
                List.of(look("x", 1, 2, Status.NOT_YET), look("x", 1, 1, Status.CONFIRMED)),
                Status.NOT_YET
            },
            {
                "a STOP kept later that claims an earlier day",
                List.of(look("x", 5, 9, Status.STOP), look("x", 1, 1, Status.CONFIRMED)),
                Status.STOP
            },
            {
                "told again after a STOP",
                List.of(look("x", 1, 9, Status.CONFIRMED), look("x", 5, 1, Status.STOP)),
                Status.CONFIRMED
            },
        };
    }

    @Test(dataProvider = "records")
    public void theLookThatSpeaksIsOfThisPlantAndTheLater(
            String what, List<IdentityOnRecord.Look> looks, @Nullable Status status) {
        IdentityOnRecord.Look speaks = IdentityOnRecord.on(DAY, "x", looks);
        assertThat(speaks == null ? null : speaks.status()).as(what).isEqualTo(status);
    }

    private static List<String> seen(int daysBefore, LifeStage pickedAt, boolean lookAlikes, boolean singly) {
        return codes(
                HERB,
                Taxon.Part.HERB,
                new HarvestGate.Identity(
                        look("x", daysBefore, 1, Status.CONFIRMED),
                        false,
                        SecondLook.NOT_NEEDED,
                        lookAlikes,
                        true,
                        null),
                SITE,
                pickedAt,
                0.1,
                0,
                TELLS,
                singly);
    }

    private static List<String> of(Taxon taxon, Taxon.Part part, HarvestGate.Season season, Schools schools) {
        return HarvestGate.check(new HarvestGate.Request(
                        taxon,
                        part,
                        SURE,
                        SITE,
                        LifeStage.FLOWERING,
                        DAY,
                        null,
                        null,
                        0.1,
                        0,
                        TELLS,
                        List.of(),
                        true,
                        season,
                        schools))
                .stream()
                .map(f -> f.severity() + " " + f.code())
                .toList();
    }

    @Test
    public void aRootWaitsUntilThePlantIsOldEnough() {
        Taxon old = Cards.card("x").part(Taxon.Part.ROOT, 3, null).build();
        assertThat(of(old, Taxon.Part.ROOT, HarvestGate.Season.UNKNOWN, Schools.USUAL))
                .containsExactly("WARN AGE_UNKNOWN");
        assertThat(of(old, Taxon.Part.ROOT, new HarvestGate.Season(2024, null, null), Schools.USUAL))
                .containsExactly("STOP TOO_YOUNG");
        assertThat(of(old, Taxon.Part.ROOT, new HarvestGate.Season(2023, null, null), Schools.USUAL))
                .isEmpty();
    }

    private static final HarvestGate.Frosts NONE = new HarvestGate.Frosts(0, 0);
    private static final HarvestGate.Frosts ONE = new HarvestGate.Frosts(1, 1);

    @Test
    public void whatABiennialBearsInItsSecondYearIsNotThereInItsFirst() {
        int year = DAY.getYear();
        Taxon taxon = Cards.card("x")
                .lifeForm("biennial herb")
                .part(Taxon.Part.HERB, null, null)
                .build();
        assertThat(of(taxon, Taxon.Part.HERB, new HarvestGate.Season(year, null, null), Schools.USUAL))
                .containsExactly("WARN FIRST_YEAR");
        assertThat(of(taxon, Taxon.Part.HERB, new HarvestGate.Season(year - 1, null, null), Schools.USUAL))
                .isEmpty();
        assertThat(of(HERB, Taxon.Part.HERB, new HarvestGate.Season(year, null, null), Schools.USUAL))
                .isEmpty();
    }

    @DataProvider
    Object[][] frosts() {
        return new Object[][] {
            {Taxon.Frost.AFTER, School.FRUIT_BEFORE_FROST, NONE, "WARN BEFORE_FROST"},
            {Taxon.Frost.AFTER, School.FRUIT_BEFORE_FROST, ONE, null},
            {Taxon.Frost.AFTER, School.FRUIT_BEFORE_FROST, null, "NOTE FROST_UNKNOWN"},
            {Taxon.Frost.BEFORE, School.FRUIT_AFTER_FROST, ONE, "WARN AFTER_FROST"},
            {Taxon.Frost.BEFORE, School.FRUIT_AFTER_FROST, NONE, null},
            // Where the card leaves it open, the household's school decides.
            {Taxon.Frost.EITHER, School.FRUIT_AFTER_FROST, NONE, "WARN BEFORE_FROST"},
            {Taxon.Frost.EITHER, School.FRUIT_AFTER_FROST, ONE, null},
            {Taxon.Frost.EITHER, School.FRUIT_AFTER_FREEZING, NONE, "WARN BEFORE_FROST"},
            {Taxon.Frost.EITHER, School.FRUIT_AFTER_FREEZING, ONE, "WARN FROZEN_ONCE"},
            // Four nights below nothing that never thawed are one freezing.
            {Taxon.Frost.EITHER, School.FRUIT_AFTER_FREEZING, new HarvestGate.Frosts(4, 0), "WARN FROZEN_ONCE"},
            {Taxon.Frost.EITHER, School.FRUIT_AFTER_FREEZING, new HarvestGate.Frosts(4, 3), null},
            {Taxon.Frost.EITHER, School.FRUIT_BEFORE_FROST, ONE, "WARN AFTER_FROST"},
            {Taxon.Frost.EITHER, School.FRUIT_BEFORE_FROST, null, null},
            {null, School.FRUIT_AFTER_FROST, NONE, null},
        };
    }

    @Test(dataProvider = "frosts")
    public void fruitGoesByTheFrost(Taxon.Frost frost, School school, HarvestGate.Frosts frozen, String finding) {
        Taxon taxon = Cards.card("x").part(Taxon.Part.FRUIT, null, frost).build();
        Schools schools = Schools.USUAL.with(school);
        assertThat(of(taxon, Taxon.Part.FRUIT, new HarvestGate.Season(null, frozen, null), schools))
                .isEqualTo(finding == null ? List.of() : List.of(finding));
    }

    @Test
    public void whatComesOutOfItsTimeIsLookedAtTwice() {
        Readiness.Request winter = new Readiness.Request(
                "x", Set.of(10, 11), Place.OF_THE_CARDS, Progress.byCalendar(2026), List.of(), null, null, false, DAY);
        assertThat(of(HERB, Taxon.Part.HERB, new HarvestGate.Season(null, null, Readiness.of(winter)), Schools.USUAL))
                .containsExactly("NOTE EARLY");
    }

    @Test
    public void whatIsOverIsLookedAtTwice() {
        Readiness.Request spring = new Readiness.Request(
                "x", Set.of(3, 4), Place.OF_THE_CARDS, Progress.byCalendar(2026), List.of(), null, null, false, DAY);
        assertThat(of(HERB, Taxon.Part.HERB, new HarvestGate.Season(null, null, Readiness.of(spring)), Schools.USUAL))
                .containsExactly("NOTE OUT_OF_SEASON");
    }

    private static Cards.Builder plant() {
        return Cards.card("x").part(0.5, 0.4, Set.of(Taxon.Route.INTERNAL));
    }

    @Test
    public void ofAnInvaderNoShareIsLeft() {
        Taxon invader = plant().origin(Taxon.Origin.INVASIVE).build();
        assertThat(codes(invader, Taxon.Part.HERB, SURE, SITE, LifeStage.FLOWERING, 1, 0, TELLS, false))
                .containsExactly("TAKE_ALL");
        assertThat(codes(HERB, Taxon.Part.HERB, SURE, SITE, LifeStage.FLOWERING, 1, 0, TELLS, false))
                .containsExactly("OVER_QUOTA");
    }

    @Test
    public void whatDrawsOnItsNeighboursIsWarnedOf() {
        assertThat(of(plant().halfParasite().build(), Taxon.Part.HERB, HarvestGate.Season.UNKNOWN, Schools.USUAL))
                .containsExactly("WARN HALF_PARASITE");
    }

    private static List<String> of(Taxon taxon, @Nullable Sex sex, Schools schools, List<OnThePiece.Open> open) {
        return HarvestGate.check(new HarvestGate.Request(
                        taxon,
                        Taxon.Part.HERB,
                        SURE,
                        SITE,
                        LifeStage.FLOWERING,
                        DAY,
                        null,
                        sex,
                        0.1,
                        0,
                        TELLS,
                        open,
                        true,
                        HarvestGate.Season.UNKNOWN,
                        schools))
                .stream()
                .map(f -> f.severity() + " " + f.code())
                .toList();
    }

    @Test
    public void maleAndFemalePlantsGoByTheHouseholdsSchool() {
        Taxon nettle = plant().sexes("female plants bear the seed").build();
        Schools female = Schools.USUAL.with(School.FEMALE_ONLY);
        assertThat(of(nettle, Sex.BOTH, female, List.of())).containsExactly("WARN MALE_PLANTS");
        assertThat(of(nettle, Sex.FEMALE, female, List.of())).isEmpty();
        assertThat(of(nettle, Sex.MALE, Schools.USUAL, List.of())).isEmpty();
        assertThat(of(HERB, Sex.MALE, female, List.of())).isEmpty();
    }

    /** What tells it from a poisonous one is looked at on the piece in the hand, or it is left. */
    @Test
    public void whatIsNotToldOnThePieceStops() {
        Taxon other = Cards.card("y").danger(Danger.DEADLY).build();
        assertThat(of(HERB, null, Schools.USUAL, List.of(new OnThePiece.Open(other, List.of("stem")))))
                .containsExactly("STOP NOT_ON_THE_PIECE");
    }

    @Test
    public void aVerdictAgesAndIsOfItsStage() {
        assertThat(seen(400, LifeStage.FLOWERING, false, false)).isEmpty();
        assertThat(seen(401, LifeStage.FLOWERING, false, false)).containsExactly("IDENTITY_AGED");
        assertThat(HarvestGate.check(new HarvestGate.Request(
                                HERB,
                                Taxon.Part.HERB,
                                new HarvestGate.Identity(
                                        look("x", 1, 1, Status.CONFIRMED),
                                        false,
                                        SecondLook.NOT_NEEDED,
                                        true,
                                        true,
                                        null),
                                SITE,
                                LifeStage.LEAFY,
                                DAY,
                                null,
                                null,
                                0.1,
                                0,
                                TELLS,
                                List.of(),
                                true,
                                HarvestGate.Season.UNKNOWN,
                                Schools.USUAL))
                        .stream()
                        .filter(f -> f.code().equals("STAGE_NOT_SEEN"))
                        .map(Finding::severity))
                .containsExactly(Severity.STOP);
    }

    /** Wherever something poisonous is taken for it, whether or not it was seen there. */
    @Test
    public void nothingWithAPoisonousLookAlikePassesByTheHandful() {
        assertThat(seen(1, LifeStage.FLOWERING, true, false)).containsExactly("EXAMINE_SINGLY");
        assertThat(seen(1, LifeStage.FLOWERING, true, true)).isEmpty();
    }

    @Test
    public void takingASafeguardBackIsNoticed() {
        Site guarded = new Site(Site.Ground.CONTAMINATED, Site.Permission.REFUSED, Site.Plenty.SCARCE, true, "hemlock");
        assertThat(guarded.loosenedBy(SITE))
                .containsExactly("ground", "permission", "protectedSpecies", "plenty", "neighbour");
        assertThat(SITE.loosenedBy(guarded)).isEmpty();
        assertThat(guarded.loosenedBy(guarded)).isEmpty();
    }

    // ---- two looks where something deadly is taken for it

    private static IdentityOnRecord.Look look(
            int daysBefore, int keptHour, LifeStage stage, Status status, @Nullable String by, boolean otherPlants) {
        return new IdentityOnRecord.Look(
                "x",
                DAY.minusDays(daysBefore),
                Instant.parse("2026-07-01T00:00:00Z").plusSeconds(keptHour * 3600L),
                stage,
                status,
                by,
                otherPlants);
    }

    @DataProvider
    public Object[][] looks() {
        var first = look(5, 1, LifeStage.FLOWERING, Status.CONFIRMED, "ilse", false);
        return new Object[][] {
            {"one look", List.of(first), SecondLook.WANTED},
            {
                "another person, the same day",
                List.of(first, look(5, 2, LifeStage.FLOWERING, Status.CONFIRMED, "tam", false)),
                SecondLook.DONE
            },
            {
                "the same person, the same day",
                List.of(first, look(5, 2, LifeStage.FLOWERING, Status.CONFIRMED, "ilse", true)),
                SecondLook.WANTED
            },
            {
                "the same person, another day, the same plants",
                List.of(first, look(3, 2, LifeStage.FLOWERING, Status.CONFIRMED, "ilse", false)),
                SecondLook.WANTED
            },
            {
                "the same person, another day, other plants",
                List.of(first, look(3, 40, LifeStage.FLOWERING, Status.CONFIRMED, "ilse", true)),
                SecondLook.DONE
            },
            {
                "the same person, another day claimed, kept at one sitting",
                List.of(first, look(3, 2, LifeStage.FLOWERING, Status.CONFIRMED, "ilse", true)),
                SecondLook.WANTED
            },
            {
                "nobody knows who",
                List.of(look(6, 0, LifeStage.FLOWERING, Status.CONFIRMED, null, false), first),
                SecondLook.WANTED
            },
            {
                "at another stage",
                List.of(first, look(3, 2, LifeStage.LEAFY, Status.CONFIRMED, "tam", false)),
                SecondLook.WANTED
            },
            {
                "too long ago",
                List.of(look(500, 0, LifeStage.FLOWERING, Status.CONFIRMED, "tam", false), first),
                SecondLook.WANTED
            },
            {
                "a STOP between the two",
                List.of(
                        look(6, 0, LifeStage.FLOWERING, Status.CONFIRMED, "tam", false),
                        look(5, 0, LifeStage.FLOWERING, Status.STOP, "corwen", false),
                        first),
                SecondLook.WANTED
            },
        };
    }

    @Test(dataProvider = "looks")
    public void oneHopefulPairOfEyesIsNotEnoughBesideADeadlyPlant(
            String what, List<IdentityOnRecord.Look> looks, SecondLook expected) {
        Taxon deadly = Cards.card("y").danger(Danger.DEADLY).build();
        Taxon harmless = Cards.card("z").build();
        var speaking = IdentityOnRecord.on(DAY, "x", looks);
        assertThat(IdentityOnRecord.second(HERB, List.of(deadly), speaking, DAY, looks))
                .as(what)
                .isEqualTo(expected);
        assertThat(IdentityOnRecord.second(HERB, List.of(harmless), speaking, DAY, looks))
                .isEqualTo(SecondLook.NOT_NEEDED);
        // A look that did not tell it alone wants the same, whatever it is taken for.
        List<IdentityOnRecord.Look> halves = looks.stream()
                .map(l -> l.status() != Status.CONFIRMED
                        ? l
                        : new IdentityOnRecord.Look(
                                l.forTaxon(),
                                l.on(),
                                l.keptAt(),
                                l.stage(),
                                Status.SECOND_WANTED,
                                l.by(),
                                l.otherPlants()))
                .toList();
        var half = IdentityOnRecord.on(DAY, "x", halves);
        SecondLook second = IdentityOnRecord.second(HERB, List.of(harmless), half, DAY, halves);
        assertThat(second).isEqualTo(half == null ? SecondLook.NOT_NEEDED : expected);
        assertThat(IdentityOnRecord.certain(half, second)).isEqualTo(second == SecondLook.DONE);
        assertThat(HarvestGate.broughtHome(half, second, false, SITE).isEmpty()).isEqualTo(second == SecondLook.DONE);
        assertThat(codes(
                                HERB,
                                Taxon.Part.HERB,
                                new HarvestGate.Identity(speaking, false, expected, true, true, null),
                                SITE,
                                speaking == null ? LifeStage.FLOWERING : speaking.stage(),
                                0.1,
                                0,
                                TELLS,
                                true)
                        .contains("SECOND_LOOK"))
                .isEqualTo(expected == SecondLook.WANTED);
    }

    /** A leaf is a leaf, whatever flowered above it. */
    @Test
    public void whatTellsMustBeOnThePiece() {
        Taxon plant = Cards.card("plant")
                .always("a", "c0", "c1", "c2", "c3")
                .part(0.5, 0.5, Set.of(Taxon.Route.INTERNAL))
                .lookAlike("other", "c0")
                .build();
        Taxon other = Cards.card("other")
                .danger(Danger.POISONOUS)
                .always("b", "c0", "c1", "c2")
                .always("a", "c3")
                .build();
        Herbarium cards = new Herbarium(Cards.vocabulary(4), List.of(plant, other));
        // c0 is leaf, c1 stem, c2 flower, c3 fruit and alike in both.
        assertThat(OnThePiece.leftOpen(cards, plant, Taxon.Part.LEAF, LifeStage.FLOWERING, Set.of("c1", "c2", "c3")))
                .containsExactly(new OnThePiece.Open(other, List.of("c0")));
        assertThat(OnThePiece.leftOpen(cards, plant, Taxon.Part.LEAF, LifeStage.FLOWERING, Set.of("c0", "c3")))
                .isEmpty();
        assertThat(OnThePiece.leftOpen(cards, plant, Taxon.Part.HERB, LifeStage.FLOWERING, Set.of("c1")))
                .isEmpty();
        assertThat(OnThePiece.leftOpen(
                        cards, plant, Taxon.Part.FRUIT, LifeStage.FLOWERING, Set.of("c0", "c1", "c2", "c3")))
                .as("nothing on a fruit tells them")
                .containsExactly(new OnThePiece.Open(other, List.of()));
        assertThat(OnThePiece.leftOpen(cards, plant, Taxon.Part.LEAF, LifeStage.WINTER, Set.of()))
                .as("the other is not there then")
                .isEmpty();
    }
}
