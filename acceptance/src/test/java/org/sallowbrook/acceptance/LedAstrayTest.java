package org.sallowbrook.acceptance;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import org.testng.annotations.Test;

/** Nobody is led astray: what is noted for safety, what is typed and not taken over, and what to do when something is wrong. */
public class LedAstrayTest extends InBrowser {

    private void lot(String name) {
        go("/shelf");
        link(name).first().click();
        heading(name).waitFor();
    }

    /** A helper alone releases nothing; somebody beside them signs, and the mark stays. */
    @Test
    public void aHoldIsReleasedByTwoWhoSign() {
        newPage(1280, 800);
        signIn("tam");
        lot("German chamomile");
        field("What resolved it").fill("x");
        button("Release").click();
        assertThat(main()).containsText("the household's keeper takes it back, or two people together");
        field("Their sign-in name").fill("tam");
        field("Their password").fill("merrow-demo");
        button("Sign for it").click();
        assertThat(main()).containsText("is your own; a second person signs");
        field("Their sign-in name").fill("corwen");
        field("Their password").fill("wrong");
        button("Sign for it").click();
        assertThat(main()).containsText("does not go with this name here");
        accessible("a second person signs");
        field("Their password").fill("merrow-demo");
        field("Their password").press("Enter");
        assertThat(main()).containsText("Corwen Holm has signed");
        button("Release").click();
        assertThat(main()).containsText("must say in a few words");
    }

    @Test
    public void whoMayLookAsASecondIsNamedByTheKeeper() {
        newPage(1280, 800);
        signIn("ilse");
        go("/household");
        Locator observers = section("Second observers");
        assertThat(observers).containsText("Nobody is named");
        observers.getByLabel("Name").fill("Oda Brandt");
        observers.getByLabel("How they know plants").fill("x");
        button("Name them").click();
        assertThat(observers).containsText("must say in a few words");
        observers.getByLabel("How they know plants").fill("taught botany on the island for years");
        button("Name them").click();
        assertThat(observers).containsText("Oda Brandt");
        accessible("second observers");
        button("No longer: Oda Brandt").click();
        assertThat(observers).containsText("Nobody is named");
    }

    /** A medicine that was typed and not tapped: Save stays at the field, Enter takes it, what is not known is said. */
    @Test
    public void aMedicineThatIsTypedIsNotDropped() {
        newPage(1280, 800);
        signIn("ilse");
        go("/dosing/people/new");
        field("Name").fill("Somebody with tablets");
        field("or an age").fill("60");
        Locator medicine = field("Name of the substance, as on the packet");
        medicine.fill("warfarin");
        page.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("Medicines found"))
                .waitFor();
        button("Save").click();
        assertThat(medicine).isFocused();
        heading("Somebody new").waitFor();
        medicine.press("Enter");
        Locator chosen = page.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("Medicines by name"));
        assertThat(chosen).containsText("warfarin");
        medicine.fill("ASA");
        page.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("Medicines found"))
                .waitFor();
        medicine.press("Enter");
        assertThat(chosen).containsText("acetylsalicylic acid");
        medicine.fill("zorbatrin");
        assertThat(main()).containsText("“zorbatrin” is not known here");
        medicine.press("Enter");
        button("Save").click();
        assertThat(medicine).isFocused();
        accessible("a medicine that is not known");
        medicine.fill("");
        button("Save").click();
        heading("People").waitFor();
        assertThat(main()).containsText("acetylsalicylic acid");
        assertThat(main()).containsText("none said");
    }

    @Test
    public void whenSomethingIsWrongThePageStandsSignedInOrNot() {
        newPage(390, 844);
        go("/help");
        heading("Something is wrong").waitFor();
        assertThat(main()).containsText("call the poison centre now, also when well");
        assertThat(main()).containsText("not set");
        assertThat(main()).containsText("a racing or stumbling heart");
        assertThat(main()).containsText("yellow skin or eyes");
        accessible("something is wrong, signed out");
        signIn("ilse");
        go("/household");
        field("Emergency number").fill("000");
        field("Poison centre").fill("0800 111");
        button("Save").first().click();
        assertThat(main()).containsText("Saved.");
        // From every page, in one touch.
        go("/shelf");
        link("Something is wrong").first().click();
        heading("Something is wrong").waitFor();
        assertThat(link("0800 111")).isVisible();
        // Nobody is chosen, so nobody's medicines stand there.
        assertThat(main()).not().containsText("zolpidem");
        button("Sign out").click();
        page.waitForURL("**/sign-in");
        link("Something is wrong").click();
        assertThat(link("0800 111")).isVisible();
    }

    @Test
    public void aComplaintInWordsIsAnsweredByWhoAndHowSoon() {
        newPage(1280, 800);
        signIn("ilse");
        go("/needs");
        Locator words = field("What is it? In your own words");
        words.fill("my toddler ate some leaves");
        assertThat(main()).containsText("Call for help now");
        link("What to do now, and whom to call").waitFor();
        words.fill("rash from a plant i touched");
        assertThat(main()).containsText("Wash skin and clothes");
        words.fill("wobbly gramophone needles");
        assertThat(main()).containsText("or it was not understood");
        link("look here first").waitFor();
        accessible("a complaint in words");
        words.fill("");
        choose("Or a need from the cards", "minor joint pain");
        assertThat(main()).containsText("Not for:");
        assertThat(main()).containsText("anybody under 18");
    }
}
