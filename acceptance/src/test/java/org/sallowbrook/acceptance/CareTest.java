package org.sallowbrook.acceptance;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.List;
import java.util.regex.Pattern;
import org.testng.annotations.Test;

/** Taking, caring and learning: a reaction, a diary, a leaf on a sting, somebody expecting, a complaint in words. */
public class CareTest extends InBrowser {

    private void exactly(String slider, String value) {
        Locator field = field(slider + ", exactly");
        field.fill(value);
        field.press("Enter");
    }

    private void course(String person, String product, String days) {
        go("/dosing/new");
        choose("Person", person);
        choose("Out of", product);
        exactly("Lasts", days);
    }

    /** Of whom no other test has changed anything. */
    private void somebody(String name) {
        go("/dosing/people/new");
        field("Name").fill(name);
        field("Born on").fill("1980-01-01");
        button("Save").click();
        assertThat(link(name)).isVisible();
    }

    private void onlyWarned() {
        Locator why = page.getByLabel(Pattern.compile("^Why you go on in spite of"));
        for (int i = 0; i < why.count(); i++) {
            why.nth(i).fill("tried on purpose");
        }
        Locator trifles = page.getByLabel(Pattern.compile("^Go on all the same"));
        for (int i = 0; i < trifles.count(); i++) {
            trifles.nth(i).click();
        }
    }

    @Test
    public void aTeaIsPlannedByCupsWithMinutesFromToAndUntilItIsBetter() {
        course("Tam Holm", "Nettle tea", "1");
        choose("When", "before a meal");
        field("Minutes before a meal").fill("20");
        field("to, at most").fill("10");
        assertThat(main()).containsText("must not be less");
        field("to, at most").fill("30");
        field("Drunk over").fill("15");
        field("Only until it is better; that long at most").click();
        assertThat(field("Counted out in")).hasText("cups");
        // Eight grams a day in three cups of this tea are 0.89 of a cup; nobody pours that, and the card allows a whole
        // one.
        assertThat(field("Each dose, exactly")).hasValue("1");
        // As much as is left of it, whatever was made of it before.
        exactly("Each dose", "0.1");
        accessible("a tea until it is better");
        onlyWarned();
        button("Start the course").click();
        heading("Tam Holm: Nettle tea").waitFor();
        assertThat(main()).containsText("20 to 30 minutes before a meal");
        assertThat(main()).containsText("only until it is better");
        assertThat(button("It is better: end it")).isVisible();
        // A trial speaks from the day after: today's is none yet.
        field("Tried on").fill("2026-07-14");
        field("How it went").fill("nothing noticed");
        button("It was borne well").click();
        // What is really drunk, and how fast.
        page.getByText("another amount or pace").first().click();
        field("Really taken").fill("20");
        field("Drunk over").fill("3");
        button("Record it").click();
        assertThat(main()).containsText("taken 20 mL over 3 min");
        page.getByText(Pattern.compile("^\\d notes$")).click();
        assertThat(main()).containsText("drunk much faster");
        link("Dose card").click();
        heading("Dose card").waitFor();
        assertThat(main()).containsText("drunk slowly over 15 minutes");
        assertThat(main()).containsText("Urtica dioica");
        assertThat(link("On paper (PDF)")).hasAttribute("href", Pattern.compile("/api/dosing/courses/.*/card.pdf"));
        accessible("a dose card");
    }

    @Test(dependsOnMethods = "aTeaIsPlannedByCupsWithMinutesFromToAndUntilItIsBetter")
    public void aReactionEndsTheCourseAndIsRememberedWhereverThePlantIsOffered() {
        go("/dosing");
        link("Tam Holm: Nettle tea").click();
        button("Note a reaction").click();
        field("itching").check();
        field("trouble breathing").check();
        choose("How bad", "moderate");
        field("How long after").fill("0.5");
        accessible("noting a reaction");
        button("Note the reaction").click();
        assertThat(main()).containsText("The course was ended by it");
        assertThat(region("What to do now")).containsText("Call for help now");
        go("/dosing/new");
        choose("Person", "Tam Holm");
        choose("Out of", "Nettle tea");
        assertThat(region("Course findings")).containsText("Tam Holm reacted to stinging nettle");
        assertThat(button("Start the course")).isDisabled();
        go("/herbarium/stinging-nettle");
        assertThat(section("Not borne by")).containsText("Tam Holm");
        assertThat(section("Not borne by")).containsText("0.5 hours after");
        go("/needs");
        field("What is it? In your own words").fill("flush the bladder");
        button("flushing of the urinary tract").click();
        choose("For whom", "Tam Holm");
        assertThat(section("Left out for this person")).containsText("not borne");
    }

    @Test
    public void anOnAndOffDiaryIsReadOut() {
        somebody("Somebody with a hip");
        course("Somebody with a hip", "Marigold salve T260615", "14");
        choose("The skin there", "is whole");
        field("From").fill("2026-07-02");
        choose("How often", "days with and without, drawn by lot");
        assertThat(field("Counted out in")).hasText("fingertips");
        exactly("Times a day", "1");
        onlyWarned();
        accessible("days drawn by lot");
        button("Start the course").click();
        assertThat(main()).containsText("Somebody with a hip: Marigold salve");
        field("What is to get better, in their own words").fill("the stiff hip in the morning");
        button("Keep a diary").click();
        assertThat(section("Does it help? the stiff hip in the morning")).containsText("Too few days");
        @SuppressWarnings("unchecked")
        List<List<Object>> drawn = (List<List<Object>>) page.evaluate(
                "async (id) => (await (await fetch(`/api/dosing/courses/${id}`)).json())"
                        + ".days.map((d) => [d.date, d.doses > 0])",
                page.url().replaceFirst(".*/", ""));
        int without = 0;
        for (List<Object> day : drawn) {
            field("Day").fill(day.get(0).toString());
            // What nobody said is no score.
            assertThat(button("Note it")).isDisabled();
            page.getByText(
                            Boolean.TRUE.equals(day.get(1)) ? "3" : without++ % 2 == 0 ? "7" : "6",
                            new Page.GetByTextOptions().setExact(true))
                    .and(page.locator("fieldset label"))
                    .click();
            button("Note it").click();
            assertThat(page.getByText("noted already")).isVisible();
        }
        assertThat(main()).containsText("went otherwise than drawn");
        assertThat(main()).containsText("Days with it were better");
        assertThat(main()).containsText("would fit these days as well");
        assertThat(main()).containsText("no proof for anybody else");
        accessible("a diary read out");
        // And another phase after it.
        link("Plan what comes after").click();
        heading("Plan a course").waitFor();
        assertThat(field("From")).hasValue("2026-07-16");
        choose("Out of", "Marigold salve T260615");
        choose("The skin there", "is whole");
        exactly("Lasts", "3");
        onlyWarned();
        button("Start the course").click();
        assertThat(main()).containsText("After Marigold salve, 2 Jul 2026 to 15 Jul 2026");
        link("Marigold salve, 2 Jul 2026 to 15 Jul 2026").click();
        assertThat(main()).containsText("Then Marigold salve, 16 Jul 2026 to 18 Jul 2026");
    }

    @Test
    public void aFreshLeafOnAStingIsTriedFirstAndNeverOnAWound() {
        go("/field/stands/"
                + page.evaluate("async () => (await (await fetch('/api/field/stands')).json())"
                        + ".find((s) => s.name === 'Marigold bed').id"));
        link("Use a leaf of it").click();
        heading("Use a plant as it is").waitFor();
        choose("Person", "Wren");
        choose("The skin there", "is wounded");
        assertThat(region("Findings on this use")).containsText("deep, dirty, bitten, burnt");
        choose("The skin there", "is whole");
        for (int tell = 0; tell < 4; tell++) {
            page.locator("main ul li input[type=checkbox]").nth(tell).check();
        }
        field("Every piece examined singly").click();
        assertThat(region("Findings on this use")).containsText("has not had a first small trial");
        assertThat(button("Note the use")).isDisabled();
        field("The first trial, on a small patch").click();
        field("What for, and where on the body").fill("a sting on the wrist");
        onlyWarned();
        accessible("a plant as it is");
        button("Note the use").click();
        heading("Wren: pot marigold").waitFor();
        assertThat(main()).containsText("a first trial");
        button("Nothing was noticed").click();
        assertThat(main()).containsText("Asked after on");
        go("/dosing");
        page.getByText("Plants used as they were").click();
        assertThat(main()).containsText("a sting on the wrist");
    }

    @Test
    public void whoIsExpectingSeesWhatIsKnownAndAChildTheRulesSideBySide() {
        course("Oda Brandt", "Meadowsweet tincture", "3");
        Locator thirds = section("While expecting");
        assertThat(thirds).containsText("meadowsweet, last third: beware");
        assertThat(thirds).containsText("Midwife, doctor and pharmacist decide");
        assertThat(button("Start the course")).isDisabled();
        link("What else there is for it").click();
        heading("What helps?").waitFor();
        assertThat(section("Left out for this person")).isVisible();
        course("Wren", "Nettle tea", "1");
        Locator rules = section("For a child");
        assertThat(rules).containsText("by weight, weight / 68 (Clark)");
        assertThat(rules).containsText("42.9 %");
        assertThat(rules).containsText("The card gives a dose from 12 years on");
        accessible("a course for a child");
    }

    @Test
    public void aGraveComplaintIsReferredWithWhatToSay() {
        go("/needs");
        field("What is it? In your own words").fill("a tickly couhg");
        button("dry cough from an irritated throat").click();
        assertThat(main()).containsText("Marsh mallow".toLowerCase(java.util.Locale.ROOT));
        field("What is it? In your own words").fill("chest pain when I climb");
        assertThat(region("What belongs to a doctor")).containsText("trouble of the heart");
        assertThat(region("What belongs to a doctor")).containsText("Say: when it began");
        assertThat(main()).not().containsText("marsh mallow");
        accessible("a complaint referred");
    }

    @Test
    public void whoLivesElsewhereIsAskedAfterOnTheDay() {
        go("/");
        Locator ask = page.getByRole(
                        AriaRole.REGION, new com.microsoft.playwright.Page.GetByRoleOptions().setName("To ask after"))
                .getByRole(AriaRole.LINK, new Locator.GetByRoleOptions().setName("Oda Brandt: how does it go?"));
        ask.click();
        heading("Oda Brandt: Marigold salve").waitFor();
        assertThat(main()).containsText("a full dose is 1 fingertip");
        assertThat(section("How it goes with Oda Brandt")).containsText("Nobody has asked yet");
        field("What was said").fill("it stings a little");
        button("Keep it").click();
        assertThat(section("How it goes with Oda Brandt")).containsText("it stings a little");
        go("/");
        assertThat(ask).hasCount(0);
    }

    @Test
    public void theCardSaysForWhomItIsNotBeforeWhatItIsFor() {
        go("/herbarium/stinging-nettle");
        assertThat(section("For whom it is not")).containsText("Not for");
        Locator parts = section("Parts and doses");
        assertThat(parts.getByRole(AriaRole.TABPANEL)).containsText("Flushing of the urinary tract");
        page.getByRole(AriaRole.TAB, new com.microsoft.playwright.Page.GetByRoleOptions().setName("Root"))
                .click();
        assertThat(parts.getByRole(AriaRole.TABPANEL)).containsText("Slow water of older men");
        assertThat(parts.getByRole(AriaRole.TABPANEL)).not().containsText("Flushing");
        choose("For whom", "Corwen Holm");
        accessible("a card for people");
    }
}
