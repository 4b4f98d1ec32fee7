package org.sallowbrook.acceptance;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.testng.annotations.Test;

/** Preparations of every family, from the bench to the shelf, the way a person makes them. */
public class BenchTest extends InBrowser {

    private void start(String name) {
        field("Name on the label").fill(name);
        assertThat(button("Start the batch")).isEnabled();
        button("Start the batch").click();
        heading(name).waitFor();
    }

    /** Puts what was only described on the shelf, from the bench itself. */
    private void supply(String percent, String amount) {
        Locator missing = section("Not on the shelf yet").getByRole(AriaRole.LISTITEM);
        int before = missing.count();
        missing.first()
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Put it on the shelf"))
                .click();
        Locator form = missing.first().locator("form");
        if (!percent.isEmpty()) {
            form.getByLabel("Acidity", new Locator.GetByLabelOptions().setExact(true))
                    .fill(percent);
        }
        form.getByLabel("How much", new Locator.GetByLabelOptions().setExact(true))
                .fill(amount);
        form.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Put it on the shelf"))
                .click();
        // What was put stands there until the reckoning is new: the next one is asked for after it.
        assertThat(missing).hasCount(before - 1);
    }

    /** Who did the first steps without ticking them off is not told to begin again. */
    @Test
    public void theStoveOpensAtTodaysStep() {
        go("/making");
        link("Meadowsweet tincture, second").first().click();
        heading("Meadowsweet tincture, second").waitFor();
        link("At the stove, in large letters").click();
        assertThat(main()).containsText("press after");
        assertThat(main()).not().containsText("Weigh");
        assertThat(button("Back")).isDisabled();
    }

    @Test
    public void aPotOfTwoHerbsHasOneTimelineToughPartsFirst() {
        go("/making/tea");
        choose("Herb", "small-leaved lime, flower");
        button("Another herb").click();
        choose("Herb 2", "meadowsweet");
        choose("How, herb 2", "decoction");
        field("Wanted").press("ArrowRight");
        assertThat(main()).containsText("4 h in the room");
        choose("For how long, herb 1", "8 hours");
        assertThat(main()).containsText("stands longer than the 4 hours");
        choose("For how long, herb 1", "as usual");
        assertThat(main()).not().containsText("stands longer than the 4 hours");
        start("Lime and meadowsweet");
        Locator steps = region("Steps");
        for (String wanted :
                new String[] {"Weigh", "Weigh", "boil", "Add, simmer uncovered: meadowsweet", "Take it off the heat"}) {
            assertThat(steps).containsText(wanted);
            button("Next step").click();
        }
        assertThat(steps).containsText("Add off the boil, cover: small-leaved lime");
        button("Next step").click();
        assertThat(steps).containsText("Strain; drink it fresh");
        link("Its lot and label").click();
        heading("Lime and meadowsweet").waitFor();
        assertThat(main()).containsText("Good cold until");
    }

    @Test
    public void freshHerbIsCoveredByEyeAndEveryFigureIsARange() {
        go("/making/fill-and-cover");
        choose("Herb", "stinging nettle, fresh");
        choose("Covered with", "grain spirit");
        assertThat(page.getByRole(AriaRole.IMG, new Page.GetByRoleOptions().setName(Pattern.compile("^jar of 250 mL"))))
                .isVisible();
        assertThat(main()).containsText("weighing the herb to 1 % would make that about");
        start("Nettle by eye");
        assertThat(region("Steps")).containsText("Fill the jar of 250 mL to 60 %");
        link("Trace").last().click();
        assertThat(main()).containsText("Nettles behind the hedge");
    }

    @Test
    public void anOxymelIsReckonedBeforeItsHoneyIsInTheHouse() {
        go("/making/steeped");
        choose("Herb", "meadowsweet");
        choose("Steeped in", "honey");
        assertThat(main()).containsText("Water in it at the end");
        field("Vinegar with it: an oxymel").focus();
        for (int i = 0; i < 14; i++) {
            page.keyboard().press("ArrowRight");
        }
        assertThat(main()).containsText("Acidity at the end");
        assertThat(button("Start the batch")).isDisabled();
        assertThat(main()).containsText("Honey can bring infant botulism");
        supply("", "500");
        supply("6", "750");
        assertThat(main().getByText("Not on the shelf yet")).hasCount(0);
        // What may bring infant botulism is acknowledged with a reason.
        page.getByLabel(Pattern.compile("^Why you go on in spite of: Honey")).fill("for grown-ups only");
        start("Meadowsweet oxymel");
        link("Its lot and label").click();
        assertThat(main()).containsText("not under one year");
    }

    @Test
    public void aFormulaIsSplitIntoTheBottlesAtHand() {
        go("/making/formula");
        choose("Part 1", "Meadowsweet tincture B");
        field("To be taken a day, if known").press("ArrowRight");
        assertThat(main()).containsText("Your own that are free");
        assertThat(main()).containsText("Bottles of 50 mL");
        assertThat(main()).containsText("Meadowsweet tincture (B");
        field("What 100 mL of part 1 cost, if known").fill("12");
        assertThat(main()).containsText("costs is not known");
        field("What 100 mL of part 2 cost, if known").fill("6");
        // 20 mL of each.
        assertThat(main()).containsText("Cost3.6 in your money");
        start("Joint formula");
        choose("Which of your own", "bottle of 50 mL");
        field("Each holds").fill("20");
        field("How many bottles").fill("2");
        button("Fill the bottles").click();
        assertThat(page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(Pattern.compile("formula B"))))
                .hasCount(2);
        go("/shelf/vessels");
        assertThat(page.getByRole(AriaRole.LISTITEM).filter(new Locator.FilterOptions().setHasText("bottle of 50 mL")))
                .containsText("2 in use");
        accessible("jars, bottles and tins");
    }

    @Test
    public void oilWithADecoctionInItIsHeldUntilThePanIsWeighedBack() {
        go("/making/evaporated");
        choose("Decoction", "Nettle tea");
        choose("Carrier oil", "olive oil P");
        assertThat(main()).containsText("The pan must come back to");
        start("Simmered nettle oil");
        field("What is in the pan weighs now").fill("150");
        button("Note this weight").click();
        assertThat(main()).containsText("58 g");
        link("Its lot and label").click();
        assertThat(main()).containsText("A word does not lift it");
        link("To its batch").click();
        field("What is in the pan weighs now").fill("92");
        button("Note this weight").click();
        assertThat(main()).containsText("none that a scale shows");
        accessible("a pan weighed back");
        field("Each holds").fill("40");
        button("Fill the bottles").click();
        assertThat(link("Simmered nettle oil B").first()).isVisible();
    }

    @Test
    public void tooLittleSaltIsStoppedAndEnoughKeepsAFreshHerb() {
        go("/making/kept");
        choose("Herb", "stinging nettle, fresh");
        Locator salt = field("Of salt");
        salt.fill("5");
        assertThat(main()).containsText("below 10 % the germ of botulism can grow");
        salt.fill("40");
        assertThat(main()).not().containsText("below 10 %");
        choose("How", "frozen");
        start("Frozen nettle");
        link("Its lot and label").click();
        assertThat(main()).containsText("Frozen nettle");
        go("/making/tea");
        choose("Herb", "Frozen nettle");
        assertThat(main()).containsText("Dried herb in 1 mL");
    }

    @Test
    public void anEssentialOilIsHeldToItsOwnLimitAndToWhomItIsFor() {
        go("/making/salve");
        button("With essential oil").click();
        choose("Essential oil", "bergamot");
        field("Of essential oil").fill("0.3");
        assertThat(main()).containsText("burns in the sun: at most 0.4 %");
        choose("Essential oil", "peppermint");
        choose("For whom", "children from two years too");
        assertThat(main()).containsText("can stop the breath of a small child");
        choose("For whom", "grown-ups only");
        assertThat(main()).not().containsText("can stop the breath");
        button("Another oil").click();
        assertThat(main()).containsText("olive oil");
        accessible("a salve with essential oil");
    }

    @Test
    public void howADropSetIsNotedAndTakenBack() {
        go("/making");
        page.getByText("Finished", new Page.GetByTextOptions().setExact(false))
                .first()
                .click();
        link("Marigold salve").first().click();
        button("too soft").click();
        assertThat(section("Cold spoon"))
                .containsText("It set too soft. The next salve with this wax is planned by it.");
        button("was wrong: how it set").click();
        field("Why how it set is struck out").fill("the spoon was warm");
        button("Strike it out").click();
        assertThat(section("Cold spoon")).containsText("How did it set, poured as planned?");
    }

    @Test
    public void aCreamKeepsForDaysAndSaysSo() {
        go("/making/cream");
        choose("Oil", "olive oil P");
        assertThat(main()).containsText("Water and oil without a preservative grow germs");
        supply("", "50");
        assertThat(main().getByText("Not on the shelf yet")).hasCount(0);
        page.getByLabel(Pattern.compile("^Why you go on in spite of: Water")).fill("kept cold, used within a week");
        start("Hand cream");
        field("How many tins").fill("2");
        button("Fill the tins").click();
        Locator tin = page.getByRole(
                        AriaRole.LINK, new Page.GetByRoleOptions().setName(Pattern.compile("^Hand cream T")))
                .first();
        tin.click();
        assertThat(main()).containsText("22 Jul 2026");
        accessible("a tin of cream");
    }

    @Test
    public void atTheStoveTheWaitGoesOnAcrossAReload() {
        go("/making/tea");
        choose("Herb", "small-leaved lime, flower");
        start("Tea at the stove");
        link("At the stove, in large letters").click();
        assertThat(main()).containsText("Step 1 of 4");
        button("It was different").click();
        field("What was really done").fill("4 g instead of 3");
        // By a key, with both hands full.
        button("Next step").click();
        assertThat(main()).containsText("Step 2 of 4");
        page.locator("h1").click();
        page.keyboard().press("Space");
        assertThat(main()).containsText("Step 3 of 4");
        page.keyboard().press("Space");
        Locator wait = page.getByRole(AriaRole.TIMER);
        assertThat(wait).containsText(Pattern.compile("(10:00|9:\\d\\d) to wait"));
        page.reload();
        assertThat(page.getByRole(AriaRole.TIMER)).containsText(Pattern.compile("9:\\d\\d to wait"));
        accessible("at the stove");
        // On another page it is told as well.
        go("/shelf");
        Locator notice = page.getByRole(AriaRole.COMPLEMENTARY, new Page.GetByRoleOptions().setName("Timers"));
        assertThat(notice).containsText("Tea at the stove");
        notice.getByRole(AriaRole.LINK, new Locator.GetByRoleOptions().setName("Tea at the stove"))
                .click();
        button("Next step").click();
        assertThat(main()).containsText("All steps are done");
        assertThat(main()).containsText("Really: 4 g instead of 3.");
        assertThat(page.locator("body")).not().containsText("Tea at the stove: Strain");
        button("Back").click();
        assertThat(main()).containsText("Step 4 of 4");
    }

    /** A voice of the device's own, which writes down what it is to say. */
    private static final String VOICE = """
            Object.defineProperty(window, 'speechSynthesis', { configurable: true, value: { said: [],
                getVoices: () => [{ localService: true, lang: 'en-GB', name: 'own' }],
                speak(u) { this.said.push(u.text) }, cancel() {}, addEventListener() {}, removeEventListener() {} } });
            window.SpeechSynthesisUtterance = function (text) { this.text = text };""";

    private void stroke(int from, int to) {
        page.evaluate("""
                ([from, to]) => {
                    const main = document.querySelector('main')
                    const at = (x) => [new Touch({ identifier: 1, target: main, clientX: x, clientY: 300 })]
                    const tell = (type, touches, changedTouches) => main.dispatchEvent(
                        new TouchEvent(type, { bubbles: true, cancelable: true, touches, changedTouches }))
                    tell('touchstart', at(from), at(from))
                    tell('touchend', [], at(to))
                }""", java.util.List.of(from, to));
    }

    /** By a voice of the device, where there is one, and with strokes that need no finger's point. */
    @Test
    public void stepsAreReadAloudAndStrokedOn() {
        go("/making/tea");
        choose("Herb", "small-leaved lime, flower");
        start("Tea read aloud");
        link("At the stove, in large letters").click();
        assertThat(main()).containsText("Step 1 of 4");
        assertThat(button("Read aloud")).hasCount(0);
        page.addInitScript(VOICE);
        page.reload();
        button("Read aloud").click();
        page.waitForFunction("() => speechSynthesis.said.length === 1");
        accessible("at the stove, aloud");
        stroke(300, 100);
        assertThat(main()).containsText("Step 2 of 4");
        page.waitForFunction("() => speechSynthesis.said.length === 2"
                + " && speechSynthesis.said[1] === 'Boiling water. '"
                + " + document.querySelector('main [aria-live=polite]').innerText");
        stroke(300, 260);
        stroke(100, 300);
        assertThat(main()).containsText("Step 1 of 4");
        button("Be silent").click();
        stroke(300, 100);
        assertThat(main()).containsText("Step 2 of 4");
        org.assertj.core.api.Assertions.assertThat(page.evaluate("speechSynthesis.said.length"))
                .isEqualTo(3);
    }

    @Test
    public void aSpoonWeighedOnceMakesTheRangeNarrow() {
        go("/making/tea");
        choose("Herb", "small-leaved lime, flower");
        choose("Herb in", "heaped teaspoons");
        Locator dried = page.locator("dt", new Page.LocatorOptions().setHasText("Dried herb in 1 mL"))
                .locator("xpath=following-sibling::dd[1]");
        assertThat(dried).containsText("–");
        String wide = dried.innerText();
        go("/making");
        link("Spoons and handfuls").click();
        choose("What you measure with", "heaped teaspoons");
        choose("Filled with", "small-leaved lime, flower");
        button("Read the scale").click();
        assertThat(page.locator("output")).containsText("stable");
        button("Keep it").click();
        assertThat(main()).containsText("One of the heaped teaspoons of small-leaved lime");
        accessible("measures");
        go("/making/tea");
        choose("Herb", "small-leaved lime, flower");
        choose("Herb in", "heaped teaspoons");
        assertThat(dried).not().hasText(wide);
        org.assertj.core.api.Assertions.assertThat(spread(dried.innerText())).isLessThan(spread(wide) / 3);
        go("/making/measures");
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Was wrong")))
                .first()
                .click();
        assertThat(main()).containsText("Nothing weighed yet");
    }

    /** High end over low end of "0.01 – 0.04 g". */
    private static double spread(String range) {
        String[] ends = range.replaceAll("[^0-9.–]", "").split("–");
        return ends.length == 1 ? 1 : Double.parseDouble(ends[1]) / Double.parseDouble(ends[0]);
    }
}
