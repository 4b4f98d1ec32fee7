package org.sallowbrook.acceptance;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Response;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Consumer;
import java.util.regex.Pattern;
import javax.imageio.ImageIO;
import org.testng.annotations.Test;

/** Herbarium and identification in the browser: by keyboard, on a phone, stopped, waiting, and with a plant of one's own. */
public class IdentifyTest extends InBrowser {

    private void seeByKeyboard(String state) {
        Locator button = page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName(state).setExact(true))
                .first();
        button.focus();
        page.keyboard().press("Enter");
    }

    /** Until the next question stands nothing beside it can be pressed. */
    private void chosen() {
        page.getByText("Choosing what to look at next")
                .waitFor(new Locator.WaitForOptions()
                        .setState(com.microsoft.playwright.options.WaitForSelectorState.HIDDEN));
    }

    private void answerByKeyboard(String[] seen) {
        chosen();
        page.getByRole(
                        AriaRole.GROUP,
                        new Page.GetByRoleOptions().setName(seen[0]).setExact(true))
                .first()
                .getByRole(
                        AriaRole.BUTTON,
                        new Locator.GetByRoleOptions().setName(seen[1]).setExact(true))
                .focus();
        page.keyboard().press("Enter");
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Take back " + seen[0]))
                .waitFor();
    }

    /** The engine's own questions, answered as a typical meadowsweet, with nothing but the keyboard. */
    @Test
    public void meadowsweetIsConfirmedByKeyboardOnly() {
        openStand("Meadowsweet, north ditch");
        link("Identify").focus();
        page.keyboard().press("Enter");
        heading("Identify").waitFor();
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^in flower")))
                .focus();
        page.keyboard().press("Enter");
        String[][] typical = {
            {"How the leaf is divided", "interruptedly pinnate, tiny leaflets between large ones"},
            {"The leaflet at the tip", "much larger, with three to five lobes"},
            {"Edge of the leaf or leaflet", "sharp teeth of two sizes"},
            {"How the flowers are grouped", "frothy, side branches overtop the middle"},
            {"Petals", "five, separate"},
            {"Stamens", "many, longer than the petals"},
            {"Upper face of the leaf", "wrinkled, veins sunk like a net"},
            {"Underside of the leaf", "white-felted"},
        };
        Locator others = page.getByText("Any other character, in any order");
        others.waitFor();
        chosen();
        others.focus();
        page.keyboard().press("Enter");
        for (String[] seen : typical) {
            answerByKeyboard(seen);
        }
        seeByKeyboard("Undo");
        assertThat(page.getByRole(
                        AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Take back Underside of the leaf")))
                .hasCount(0);
        answerByKeyboard(typical[typical.length - 1]);
        seeByKeyboard("What does this say?");
        sayItAllTheSame();
        while (!region("Verdict").isVisible()) {
            region("Verdict")
                    .or(page.getByText("Look again, at another part"))
                    .first()
                    .waitFor();
            if (region("Verdict").isVisible()) {
                break;
            }
            Locator question = page.locator("fieldset:has(> legend)").first();
            String name = String.valueOf(question.locator("legend").textContent());
            for (String[] seen : typical) {
                if (seen[0].equals(name)) {
                    seeByKeyboard(seen[1]);
                }
            }
            page.getByRole(
                            AriaRole.GROUP,
                            new Page.GetByRoleOptions().setName(name).setExact(true))
                    .waitFor(new Locator.WaitForOptions()
                            .setState(com.microsoft.playwright.options.WaitForSelectorState.DETACHED));
        }
        assertThat(region("Verdict")).containsText("CONFIRMED");
    }

    /** Where more could be looked at it asks first. */
    private void sayItAllTheSame() {
        Locator early = button("Say it all the same");
        early.or(region("Verdict"))
                .or(page.getByText("Look again, at another part"))
                .first()
                .waitFor();
        if (early.isVisible()) {
            early.click();
        }
    }

    /** Whoever sees a name sees the plant: while answers are given there is none, nor any odds, nor drawn on the page. */
    @Test
    public void whileLookingNothingIsNamed() {
        openStand("Meadowsweet, willow side");
        link("Identify").click();
        IdentifyPage look = IdentifyPage.at(page, "in flower");
        List<String> bodies = Collections.synchronizedList(new ArrayList<>());
        Consumer<Response> told = r -> {
            if (r.url().contains("/calculators/")) {
                bodies.add(r.url() + " " + r.text());
            }
        };
        page.onResponse(told);
        look.see("How the leaf is divided", "interruptedly pinnate, tiny leaflets between large ones")
                .see("How the flowers are grouped", "frothy, side branches overtop the middle")
                .see("Petals", "five, separate");
        page.getByText("cannot see it")
                .or(page.getByText("Enough was looked at"))
                .first()
                .waitFor();
        assertThat(page.locator("main")).not().containsText(Pattern.compile("meadowsweet", Pattern.CASE_INSENSITIVE));
        assertThat(page.locator("main")).not().containsText(Pattern.compile("CONFIRMED|NOT YET|\\d %"));
        // Other looks may be left in the midst of an answer, which then has no words any more.
        page.offResponse(told);
        org.assertj.core.api.Assertions.assertThat(bodies).isNotEmpty();
        org.assertj.core.api.Assertions.assertThat(bodies)
                .allSatisfy(b -> org.assertj.core.api.Assertions.assertThat(b)
                        // The order in which to ask where the line breaks is the same for whatever grows there.
                        .containsPattern("/identify/(next|order)")
                        .doesNotContain("meadowsweet", "posterior", "status"));
        look.verdict();
        assertThat(region("Verdict")).containsText("meadowsweet");
    }

    /** Before it is given up, what could not be seen is asked of another leaf or plant; a third time never. */
    @Test
    public void whatCouldNotBeSeenIsAskedOnceMore() {
        go("/field/identify");
        assertThat(page.getByText("gathered plants can be made certain at this stage")
                        .first())
                .isVisible();
        IdentifyPage.at(page, "in winter");
        Locator again = page.getByText("This could not be seen before");
        Locator question = page.locator("fieldset:has(> legend.text-xl) > legend");
        for (int asked = 0; asked < 30 && !again.isVisible(); asked++) {
            cannotSee(question);
        }
        assertThat(again).isVisible();
        assertThat(button("What does this say?")).isDisabled();
        String first = question.textContent();
        cannotSee(question);
        assertThat(question).not().hasText(first);
        accessible("asked once more");
    }

    private void cannotSee(Locator question) {
        String asked = question.textContent();
        button("cannot see it").click();
        assertThat(question).not().hasText(asked);
    }

    /** A page that names a plant says when it can be told, and asks and confirms nothing. */
    @Test
    public void whenOneCanBeSureIsSaidOfANamedPlant() {
        go("/herbarium/meadowsweet");
        link("When can I be sure?").click();
        heading("When can I be sure of meadowsweet?").waitFor();
        Locator leaf = main().getByRole(AriaRole.LISTITEM).filter(new Locator.FilterOptions().setHasText("In leaf"));
        assertThat(leaf).containsText("No look makes it certain at this stage.");
        assertThat(leaf).containsText("In the way");
        assertThat(main().getByRole(AriaRole.LISTITEM).filter(new Locator.FilterOptions().setHasText("In flower")))
                .containsText("One look can make it certain");
        accessible("when can I be sure");
    }

    /** Another answer to the same question counts as none, and is said. */
    @Test
    public void aContradictionIsShownAndKeepsItFromBeingConfirmed() {
        openStand("Nettles behind the hedge");
        link("Identify").click();
        IdentifyPage.at(page, "in leaf")
                .see("Hairs on the upper side", "long stinging hairs among short ones")
                .see("Surface of the stem", "with stinging hairs")
                .see("Stem in cross-section", "square")
                .see("How leaves stand on the stem", "in opposite pairs")
                .see("Stipules, small leaves at the foot of the leaf stalk", "four small ones at each joint")
                .see("Edge of the leaf or leaflet", "sharp even teeth")
                .see("How the leaf is divided", "simple, one blade")
                .see("Where the side veins go", "they run straight into the teeth");
        button("What does this say?").click();
        sayItAllTheSame();
        page.getByText("Look again, at another part").waitFor();
        Locator question = page.locator("fieldset:has(> legend)").first();
        // Reversed order: the last answer of the vocabulary stands first, and is not what was said before.
        question.getByRole(AriaRole.BUTTON).last().click();
        region("Verdict")
                .or(page.getByText("Look again, at another part"))
                .first()
                .waitFor();
        while (!region("Verdict").isVisible()) {
            page.locator("fieldset:has(> legend)")
                    .first()
                    .getByRole(AriaRole.BUTTON)
                    .last()
                    .click();
            region("Verdict")
                    .or(page.getByText("Look again, at another part"))
                    .first()
                    .waitFor();
        }
        assertThat(region("Verdict")).containsText("two answers, and neither was counted");
    }

    @Test
    public void theStageIsAskedAndWhatMostPlantsDoIsOnlySaid() {
        go("/field/identify");
        Locator stage = page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("What is it doing now?"));
        stage.waitFor();
        assertThat(stage.getByRole(AriaRole.BUTTON)
                        .filter(new Locator.FilterOptions().setHasText("most plants, this month")))
                .hasCount(1);
        assertThat(page.getByText("cannot see it")).hasCount(0);
        accessible("stage of it");
    }

    @Test
    public void whatNobodyKnowsIsStoppedWhenItIsHemlock() {
        go("/field/identify");
        heading("What is this?").waitFor();
        IdentifyPage.at(page, "in flower")
                .see("Surface of the stem", "hairless with purple blotches")
                .see("How the flowers are grouped", "umbel of umbels, like an umbrella")
                .see("Bracts at the foot of the cluster", "several and turned down")
                .see("Bracts beneath each little umbel", "short ones, on the outer side only")
                .see("How the leaf is divided", "two to four times pinnate, like fern or parsley")
                .verdict();
        assertThat(region("Verdict")).containsText("STOP");
        assertThat(region("Verdict")).containsText("hemlock");
        assertThat(region("Verdict")).containsText("Do not pick it");
    }

    @Test
    public void cannotSeeAsksTheNextQuestion() {
        go("/field/identify");
        IdentifyPage.at(page, "in flower");
        Locator question = page.locator("fieldset > legend").first();
        question.waitFor();
        String first = String.valueOf(question.textContent());
        button("cannot see it").click();
        assertThat(question).not().hasText(first);
        button("Undo").click();
        assertThat(question).hasText(first);
    }

    /** A picture that two answers share would lead to the wrong one: such answers are told in words. */
    @Test
    public void noTwoAnswersToAQuestionLookAlike() {
        go("/field/identify");
        IdentifyPage.at(page, "in flower");
        Locator question = page.locator("fieldset:has(button:text-is('cannot see it'))");
        // All was asked of once: what comes now could not be seen before.
        Locator over = page.getByText("This could not be seen before");
        question.waitFor();
        Set<String> asked = new HashSet<>();
        while (!over.isVisible()) {
            String name = String.valueOf(question.locator("legend").textContent());
            org.assertj.core.api.Assertions.assertThat(asked.add(name)).as(name).isTrue();
            Object alike = question.evaluate("""
                    (asked) => {
                      const pictures = [...asked.querySelectorAll('button > svg')]
                        .map((svg) => svg.innerHTML.replace(/_r_[0-9a-z]+_/g, ''))
                      return pictures.length - new Set(pictures).size
                    }""");
            org.assertj.core.api.Assertions.assertThat(alike).as(name).isEqualTo(0);
            button("cannot see it").click();
            // Between two questions there is none while the next is chosen.
            page.waitForCondition(() -> over.isVisible()
                    || question.count() > 0
                            && !name.equals(question.locator("legend").textContent()));
        }
        org.assertj.core.api.Assertions.assertThat(asked).hasSizeGreaterThan(30);
    }

    @Test
    public void aVerdictIsKeptWithThePicturesOfTheLook() throws IOException {
        openStand("St John's-wort on the verge");
        link("Identify").click();
        IdentifyPage.at(page, "in flower")
                .see("Marks on the petals", "black dots along the edge")
                .verdict();
        field("Who else looked").fill("Corwen");
        field("Book, edition and page").fill("Flora of the Merrow, 2nd ed., p. 88");
        ByteArrayOutputStream png = new ByteArrayOutputStream();
        ImageIO.write(new BufferedImage(60, 40, BufferedImage.TYPE_INT_RGB), "png", png);
        FilePayload picture = new FilePayload("dots.png", "image/png", png.toByteArray());
        field("Pictures of what you saw").setInputFiles(new FilePayload[] {picture, picture});
        button("Keep this verdict: not yet").click();
        Locator look = page.locator("section:has(> div > h2:text-is('Last identification'))");
        assertThat(look).containsText("Corwen");
        assertThat(look).containsText("p. 88");
        assertThat(look.getByRole(AriaRole.IMG)).hasCount(2);
        org.assertj.core.api.Assertions.assertThat(look.getByRole(AriaRole.IMG)
                        .first()
                        .evaluate("img => img.decode().then(() => img.naturalWidth)"))
                .isEqualTo(60);
        accessible("stand with pictures of a look");
    }

    @Test
    public void aPlantNobodyKnowsIsKeptLookedAtAgainAndDeleted() {
        go("/field/identify");
        heading("What is this?").waitFor();
        IdentifyPage look = IdentifyPage.at(page, "in leaf")
                .see("How the leaf is divided", "interruptedly pinnate, tiny leaflets between large ones")
                .see("Edge of the leaf or leaflet", "sharp even teeth");
        // A page left by mistake: the look is offered again, and only gone on with when somebody says so.
        go("/field");
        page.goBack();
        assertThat(region("A look not kept yet")).containsText("2 characters, in leaf");
        button("Go on with it").click();
        look.see("Hairs on the upper side", "soft, velvety or shaggy");
        look.verdict();
        field("Name of the new stand").fill("Found at the sluice");
        field("Place").fill("Kettle Fen");
        assertThat(main()).containsText("a plant nobody knows yet");
        button("Keep this verdict: not yet").click();
        heading("Found at the sluice").waitFor();
        assertThat(main()).containsText("unknown, perhaps");
        assertThat(link("Harvest")).hasCount(0);
        accessible("a stand of an unknown plant");
        link("Identify").click();
        button("Take that look up again").click();
        assertThat(region("Seen so far")).containsText("interruptedly pinnate");
        assertThat(page.getByText("At other plants of the stand")).hasCount(0);
        page.goBack();
        heading("Found at the sluice").waitFor();
        page.getByText("It is gone, or was a mistake").click();
        field("Why it is no longer watched").fill("dug over");
        button("Put the stand away").click();
        button("Bring it back").click();
        page.getByText("It is gone, or was a mistake").click();
        button("Delete the stand").click();
        heading("Field").waitFor();
        assertThat(link("Found at the sluice")).hasCount(0);
    }

    @Test
    public void onAPhoneALookFitsUnderOneThumb() {
        page.setViewportSize(390, 844);
        go("/field/identify");
        heading("What is this?").waitFor();
        IdentifyPage look = IdentifyPage.at(page, "in flower").see("Juice of a cut", "milky white");
        page.getByText("cannot see it").waitFor();
        org.assertj.core.api.Assertions.assertThat(
                        ((Number) page.evaluate("document.documentElement.scrollWidth")).intValue())
                .isLessThanOrEqualTo(390);
        accessible("what is this, on a phone");
        look.verdict();
        assertThat(region("Verdict")).containsText("petty spurge");
        accessible("a verdict on a phone");
        page.setViewportSize(1280, 800);
    }

    @Test
    public void aPlantIsComparedWithWhatItIsTakenFor() {
        go("/herbarium/ramsons/compare");
        heading("ramsons and what it is taken for").waitFor();
        choose("It is now", "in flower");
        assertThat(region("lily-of-the-valley")).containsText("decisive");
        assertThat(region("lily-of-the-valley")).containsText("joined to a round bell with six teeth");
        accessible("compare");
        go("/herbarium/common-comfrey/compare?with=foxglove&stage=ROSETTE");
        assertThat(region("foxglove")).containsText("Not enough to pick by at this stage");
    }

    @Test
    public void anyNameFindsAPlantAndSaysWhatItIsCalledNow() {
        go("/herbarium");
        field("Find by any name").fill("Anagallis arvensis");
        assertThat(page.locator("main")).containsText("is now called Lysimachia arvensis");
        field("Find by any name").fill("medowsweet");
        assertThat(page.locator("main")).containsText("perhaps you meant meadowsweet");
        assertThat(page.locator("main")).containsText("Filipendula ulmaria");
    }

    @Test
    public void aNeedFindsPlantsAndDropsWhatAPersonMayNotTake() {
        go("/needs");
        choose("Or a need from the cards", "minor joint pain");
        assertThat(page.locator("main")).containsText("meadowsweet");
        choose("For whom", "Corwen Holm");
        assertThat(page.locator("main")).containsText("Left out for this person");
        assertThat(page.locator("main")).containsText("white willow");
        choose("Or a need from the cards", "cancer");
        assertThat(page.locator("main")).containsText("See a doctor");
    }

    @Test
    public void aPlantOfOnesOwnLandsAsADraft() {
        go("/herbarium/new");
        heading("A plant of your own").waitFor();
        button("Keep the draft").click();
        assertThat(page.getByRole(AriaRole.ALERT)).isVisible();
        field("Scientific name").fill("Cochlearia officinalis");
        field("Author").fill("L.");
        field("Common names").fill("scurvygrass");
        field("Family").fill("Brassicaceae");
        field("Life form").fill("perennial herb");
        field("Where it grows").fill("salt marsh, sea cliffs");
        field("Book the description is from").fill("A flora");
        field("Its year").fill("2019");
        choose("Danger", "harmless");
        page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("in flower"))
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("May"))
                .click();
        page.locator("summary", new Page.LocatorOptions().setHasText(Pattern.compile("^flower \\d")))
                .click();
        choose("Petals", "four, separate");
        accessible("a plant of one's own");
        button("Keep the draft").click();
        heading("scurvygrass").waitFor();
        assertThat(page.locator("main")).containsText("DRAFT");
        assertThat(page.locator("main")).containsText("four, separate");
    }

    @Test(dependsOnMethods = "aPlantOfOnesOwnLandsAsADraft")
    public void aDraftBecomesAPlantThatIsGatheredByFormAlone() {
        go("/herbarium/cochlearia-officinalis");
        heading("scurvygrass").waitFor();
        button("Change this card").click();
        Locator own = section("What this card is good for");
        assertThat(own).containsText("at least 6 characters");
        assertThat(button("It is whole")).isDisabled();
        button("What it looks like").click();
        for (String[] seen : new String[][] {
            {"stem", "Growth form", "a herb: stems soft, or dying back each year"},
            {"leaf", "How the leaf is divided", "simple, one blade"},
            {"stem", "How leaves stand on the stem", "one by one"},
            {"flower", "Colour of the flower", "white"},
        }) {
            open(own, seen[0]);
            own.getByLabel("Say it: " + seen[1]).click();
            choose(seen[2], "always");
            button("Keep the character").click();
            assertThat(own.getByLabel("Take off: " + seen[1])).isVisible();
        }
        // What varies is said as it varies; one stage may differ from the others.
        open(own, "stem");
        own.getByLabel("Say it: Surface of the stem").click();
        choose("hairless, green or evenly reddish", "usually");
        choose("softly downy", "rarely");
        button("Keep the character").click();
        assertThat(own).containsText("rarely softly downy");
        assertThat(own).not().containsText("at least 6 characters");
        // Of a relative nothing counts before it was taken over.
        choose("Beside a relative", "common chickweed");
        assertThat(own).containsText("chickweed: ");
        own.getByLabel("The same: Edge of the leaf or leaflet").click();
        assertThat(own.getByLabel("Take off: Edge of the leaf or leaflet")).isVisible();
        accessible("the characters of a plant of one's own");
        button("Parts that are gathered").click();
        button("Add a part").click();
        choose("Part", "leaf");
        field("When it is best").fill("before it flowers");
        field("How it is taken").fill("single leaves from the outside");
        field("Of each plant, at most").fill("30");
        field("Of the stand in a year, at most").fill("10");
        page.getByRole(AriaRole.SWITCH, new Page.GetByRoleOptions().setName("in flower"))
                .click();
        page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("Gathered in"))
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("May"))
                .click();
        page.getByRole(AriaRole.SWITCH, new Page.GetByRoleOptions().setName("by mouth"))
                .click();
        accessible("a part of a plant of one's own");
        button("Keep a part").click();
        assertThat(own).containsText("leaf, by mouth");
        button("What it is used for").click();
        button("Add a use").click();
        button("Keep a use").click();
        assertThat(own.getByText("is still wanted")).hasCount(6);
        field("What it is used for").fill("want of appetite");
        choose("How", "by mouth");
        choose("How strong it is", "gentle");
        source();
        button("Keep a use").click();
        assertThat(own).containsText("want of appetite, by mouth");
        button("Doses").click();
        button("Add a dose").click();
        choose("Of which part", "leaf");
        choose("For", "want of appetite");
        choose("How", "by mouth");
        field("As what").fill("tea");
        field("Dried herb a day, from").fill("1");
        field("to").fill("2");
        field("For people from").fill("18");
        source();
        accessible("a dose of a plant of one's own");
        button("Keep a dose").click();
        assertThat(own).containsText("1 to 2 g a day from 18 years");
        button("Cautions").click();
        for (String[] caution : new String[][] {
            {"somebody expecting", "not for them"},
            {"somebody breast-feeding", "looked up, nobody knows"},
            {"children under an age", "not for them"},
        }) {
            button("Add a caution").click();
            choose("For whom", caution[0]);
            if (caution[0].startsWith("children")) {
                field("Under").fill("18");
            }
            choose("What is known", caution[1]);
            field("Why, in a few words").fill("safety is not established");
            source();
            button("Keep a caution").click();
            assertThat(button("Keep a caution")).hasCount(0);
        }
        assertThat(button("It is whole")).isDisabled();
        page.getByText("I looked up what it is taken for").click();
        assertThat(own).containsText("at no stage does the card say enough");
        button("It is whole").click();
        assertThat(button("Put it aside as a draft")).isVisible();
        assertThat(main()).not().containsText("DRAFT");
        assertThat(main()).containsText("before it flowers");
        assertThat(main()).containsText("safety is not established");
        assertThat(own).containsText("at no stage does the card say enough");
        accessible("a plant of one's own, whole");
    }

    private void source() {
        field("Where it is written, or who says so").fill("A flora");
        field("Of the year").fill("2019");
        choose("What kind of word that is", "reference");
    }

    private static void open(Locator within, String organ) {
        Locator summary = within.locator(
                "summary", new Locator.LocatorOptions().setHasText(Pattern.compile("^" + organ + " \\d")));
        if (summary.locator("xpath=..").getAttribute("open") == null) {
            summary.click();
        }
    }

    @Test
    public void aFigureIsChangedInPlaceAndTickedWithBookAndPage() {
        go("/herbarium/agrimony");
        heading("agrimony").waitFor();
        button("Change this card").click();
        button("Change drying temperature of the herb").click();
        field("drying temperature of the herb").fill("39");
        page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName("Keep").setExact(true))
                .click();
        assertThat(page.locator("main")).containsText("39 °C");
        Locator mark = page.getByRole(
                        AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Source 1: ")))
                .first();
        mark.click();
        field("Book and edition").fill("Household herbal, 3rd edition");
        field("Page").fill("88");
        button("It says the same").click();
        assertThat(mark).hasText("1 ✓");
        mark.click();
        assertThat(page.getByText("✓ checked by Ilse Varga-Holm in Household herbal, 3rd edition, p. 88"))
                .isVisible();
        page.keyboard().press("Escape");
        accessible("a plant being changed");
        button("Back to the card as shipped").click();
        assertThat(page.locator("main")).containsText("42 °C");
    }

    @Test
    public void aStandKeepsTagsAndPhotos() {
        openStand("Valerian along the ditch");
        assertThat(page.locator("main")).containsText("blue 3");
        field("Mark on the stake").fill("blue 4");
        field("Where it stands").fill("under the alder");
        button("Tag this plant").click();
        assertThat(page.locator("main")).containsText("blue 4, under the alder");
        accessible("a stand with tags");
    }

    /** A round of the trainer: answered, told why, and a slip listed against the own looks. */
    @Test
    public void aRoundOfTheTrainerSaysWhichAndWhy() {
        go("/field/train");
        Locator round = region("Round");
        round.waitFor();
        accessible("trainer");
        Locator buttons =
                round.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("^It is ")));
        assertThat(buttons.first()).isDisabled();
        round.getByRole(AriaRole.LISTITEM).first().getByRole(AriaRole.BUTTON).click();
        buttons.first().click();
        assertThat(round).containsText("It is told by");
        assertThat(round).containsText("The pair comes back on");
        accessible("trainer, answered");
        round.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Next"))
                .click();
        assertThat(region("Round")).not().containsText("It is told by");
    }

    /** By the name on the packet, with a typing error; kept with the person and read by the gates. */
    @Test
    public void aMedicineIsFoundByItsName() {
        go("/dosing");
        link("Tam Holm").first().click();
        field("Name of the substance, as on the packet").fill("warfarine");
        page.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("Medicines written alike"))
                .getByRole(AriaRole.BUTTON)
                .first()
                .click();
        assertThat(page.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("Medicines by name")))
                .containsText("warfarin");
        field("Name of the substance, as on the packet").fill("tramadoll");
        page.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("Medicines written alike"))
                .getByRole(AriaRole.BUTTON)
                .first()
                .click();
        assertThat(page.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("Medicines by name")))
                .containsText("raise serotonin");
        accessible("a person's medicines");
        button("no tramadol").click();
        button("no warfarin").click();
        assertThat(page.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("Medicines by name")))
                .hasCount(0);
    }
}
