package org.sallowbrook.acceptance;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.testng.annotations.Test;

/** A course in whatever rhythm, counted out in whatever the household has. */
public class CourseTest extends InBrowser {

    private void exactly(String slider, String value) {
        Locator field = field(slider + ", exactly");
        field.fill(value);
        field.press("Enter");
    }

    @Test
    public void aCourseInDropsAsNeededAndTaperedOff() {
        go("/dosing/new");
        choose("Person", "Tam Holm");
        choose("Out of", "Meadowsweet tincture");
        choose("Counted out in", "drops");
        assertThat(main()).containsText("nobody counted this dropper: reckoned at the largest drop");
        exactly("Each dose", "40");
        assertThat(main()).containsText("That is 2 mL");
        assertThat(field("Each dose, exactly")).hasValue("40");
        exactly("Lasts", "2");
        Locator needed = section("What follows").locator("dd").first();
        choose("How often", "every so many hours");
        exactly("Every", "3");
        // Eight times in a day.
        assertThat(needed).containsText("32");
        choose("How often", "as needed");
        exactly("At least apart", "4");
        exactly("At most a day", "3");
        assertThat(needed).containsText("12");
        choose("How often", "once a week");
        exactly("Times on such a day", "1");
        assertThat(needed).containsText("2");
        choose("How often", "every day");
        exactly("Taper off over the last", "2");
        // To half, where nobody says how far.
        assertThat(needed).containsText("3");
        exactly("Ending with", "10");
        assertThat(needed).containsText("2.5");
        assertThat(main()).containsText("of dried meadowsweet on a full day");
        accessible("a course in drops, tapered");
        button("Start the course").click();
        heading("Tam Holm: Meadowsweet tincture").waitFor();
        assertThat(main()).containsText("a full dose is 40 drops");
    }

    @Test
    public void aTeaIsTakenByTheCup() {
        go("/dosing/new");
        choose("Person", "Ilse Varga-Holm");
        choose("Out of", "Nettle tea");
        assertThat(field("Counted out in")).hasText("cups");
        exactly("Each dose", "0.5");
        assertThat(main()).containsText("That is 125 mL");
        assertThat(field("Counted out in")).hasText("cups");
    }

    /** On named days, from a few drops on: what is planned is what was said, on the card that goes with the bottle as well. */
    @Test
    public void aCourseOnNamedDaysBeginsSmallAndSaysSoOnItsCard() {
        go("/dosing/new");
        choose("Person", "Tam Holm");
        choose("Out of", "Meadowsweet tincture");
        choose("Counted out in", "drops");
        exactly("Each dose", "40");
        exactly("Lasts", "28");
        choose("How often", "on named days of the week");
        Locator week = page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("On"));
        assertThat(pressed(week)).hasText(new String[] {"Monday", "Thursday"});
        week.getByRole(AriaRole.BUTTON, named("Thursday")).click();
        week.getByRole(AriaRole.BUTTON, named("Sunday")).click();
        assertThat(pressed(week)).hasText(new String[] {"Monday", "Sunday"});
        exactly("Times on such a day", "1");
        exactly("Build up over the first", "3");
        exactly("Beginning with", "10");
        // Eight days of 2 mL, the first of 0.5 and the second of 1.25.
        assertThat(section("What follows").locator("dd").first()).containsText("13.8");
        accessible("a course on named days");
        button("Start the course").click();
        heading("Tam Holm: Meadowsweet tincture").waitFor();
        assertThat(main()).containsText("every Monday, Sunday");
        link("Dose card").click();
        assertThat(main()).containsText("every Monday, Sunday, at most once a day");
    }

    private static Locator.GetByRoleOptions named(String name) {
        return new Locator.GetByRoleOptions().setName(name);
    }

    private static Locator pressed(Locator week) {
        return week.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setPressed(true));
    }

    /** A cup is made as the card makes one; what is proposed is one amount, wherever it is said. */
    @Test
    public void aTeaMixtureIsTakenByTheCup() {
        go("/making/dry");
        button("leave herb 2 out").click();
        choose("Herb", "stinging nettle, leaf");
        assertThat(section("What goes in")).containsText("stinging nettle, leaf");
        field("Name on the label").fill("mixture of the week");
        button("Start the batch").click();
        page.waitForURL(Pattern.compile("/making/batches/"));
        go("/dosing/new?lot=" + page.url().replaceFirst(".*/", ""));
        choose("Person", "Tam Holm");
        assertThat(field("Counted out in")).hasText("cups");
        Locator take = page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Take .* each time$")));
        Matcher said = Pattern.compile("Take (.+) cups? \\((.+) g\\) each time").matcher(take.innerText());
        org.assertj.core.api.Assertions.assertThat(said.matches())
                .as(take.innerText())
                .isTrue();
        take.click();
        assertThat(field("Each dose, exactly")).hasValue(said.group(1));
        assertThat(field("Herb to a cup, exactly")).hasValue("3");
        assertThat(main()).containsText("That is " + said.group(2) + " g; made fresh with 3 g to a cup of 200 mL");
        assertThat(main()).containsText("within the card's");
        field("Counted out in").click();
        assertThat(page.getByRole(AriaRole.OPTION)).hasCount(4);
        accessible("a mixture by the cup");
    }

    /** Nothing is made beforehand: the jar itself is what the week is planned from. */
    @Test
    public void aWeekOfTeaIsPlannedFromTheJar() {
        go("/dosing/new");
        choose("Person", "Tam Holm");
        // What one card says of a cup is not taken for the next plant's.
        choose("Out of", "meadowsweet, tops");
        Locator cup = field("Herb to a cup, exactly");
        assertThat(cup).hasValue("2");
        cup.focus();
        choose("Out of", "stinging nettle, leaf");
        assertThat(cup).hasValue("3");
        assertThat(field("Counted out in")).hasText("cups");
        exactly("Herb to a cup", "2");
        exactly("Each dose", "0.5");
        assertThat(main()).containsText("That is 1 g; made fresh with 2 g to a cup of 200 mL");
        exactly("Times a day", "1");
        exactly("Lasts", "7");
        assertThat(section("What follows").locator("dd").first()).containsText("7");
        button("Start the course").click();
        heading("Tam Holm: stinging nettle, leaf").waitFor();
        assertThat(main()).containsText("a full dose is 0.5 cups made fresh with 2 g to a cup of 200 mL");
        assertThat(main()).containsText("7 g in all");
    }

    @Test
    public void whenSomethingIsWrongOnePageSaysWhatToDo() {
        go("/dosing");
        link("Ilse Varga-Holm: Meadowsweet tincture").click();
        main().getByRole(AriaRole.LINK, new Locator.GetByRoleOptions().setName("Something is wrong"))
                .click();
        heading("Something is wrong").waitFor();
        assertThat(main()).containsText("Prescribed medicines go on");
        assertThat(main()).containsText("Ilse Varga-Holm, 58 years");
        assertThat(main()).containsText("3 mL of Meadowsweet tincture");
        assertThat(main()).containsText("meadowsweet (Filipendula ulmaria), tops");
        choose("With whom (adds what they take)", "Wren");
        assertThat(main()).containsText("Nothing is on record");
        accessible("something is wrong");
    }

    @Test
    public void aRouteThatIsRefusedIsAnsweredWithWhyAndWhatInstead() {
        go("/dosing/new");
        choose("Person", "Ilse Varga-Holm");
        choose("Out of", "Meadowsweet tincture");
        choose("How", "in the eye");
        assertThat(region("Course findings")).containsText("an eye can be lost");
        assertThat(region("Course findings")).containsText("Rinse with clean water only");
        assertThat(button("Start the course")).isDisabled();
        choose("How", "smoked");
        assertThat(region("Course findings")).containsText("tar and carbon monoxide");
    }
}
