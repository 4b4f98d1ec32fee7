package org.sallowbrook.acceptance;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.Test;

/** Who belongs to a household, what they may do, and how a forgotten password is mended, all in the browser. */
public class HouseholdTest extends InBrowser {

    @BeforeMethod
    public void asTheKeeper() {
        newPage(1280, 800);
        signIn("ilse");
        go("/household");
        heading("Household").waitFor();
    }

    private static Locator in(Locator section, String label) {
        return section.getByLabel(label, new Locator.GetByLabelOptions().setExact(true));
    }

    private static Locator press(Locator section, String name) {
        return section.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(name));
    }

    private void add(String name, String username) {
        Locator members = section("Members");
        members.getByText("Add a member").click();
        in(members, "Name").fill(name);
        in(members, "Name to sign in with").fill(username);
        in(members, "First password").fill("first-password");
        press(members, "Add the member").click();
        assertThat(members).containsText("signs in as " + username);
    }

    private void enter(String username, String password) {
        go("/sign-in");
        field("Name").fill(username);
        field("Password").fill(password);
        button("Sign in").click();
    }

    /** In the first minutes, and until it is said. */
    @Test
    public void anEmptyHouseholdIsAskedWhomItCalls() {
        newPage(390, 844);
        signIn("lantern");
        go("/");
        Locator asked = region("Whom you call");
        asked.waitFor();
        accessible("whom to call is asked");
        in(asked, "Emergency number").fill("ask next door");
        press(asked, "Keep the numbers").click();
        assertThat(asked).containsText("must be a number as it is dialled");
        in(asked, "Emergency number").fill("000");
        in(asked, "Poison centre").fill("the island's, 000 111");
        press(asked, "Keep the numbers").click();
        assertThat(asked).hasCount(0);
        go("/help");
        assertThat(main()).containsText("000 111");
    }

    @Test
    public void aNewMemberComesInWithTheirRoleAndIsLetInNoMore() {
        assertThat(section("The machine, and its copies")).containsText("No copies are made of the demo.");
        add("Oda Lind", "oda");
        accessible("household");
        newPage(1280, 800);
        enter("oda", "first-password");
        heading("Today").waitFor();
        assertThat(page.locator("header")).containsText("Oda Lind, helper");
        go("/household");
        heading("Household").waitFor();
        assertThat(section("Members")).hasCount(0);

        asTheKeeper();
        Locator members = section("Members");
        choose("Role of Oda Lind", "reader");
        assertThat(in(members, "Role of Oda Lind")).containsText("reader");
        press(members, "Let in no more: Oda Lind").click();
        assertThat(members).containsText("signs in as oda, may not sign in");
        newPage(1280, 800);
        enter("oda", "first-password");
        assertThat(page.getByRole(AriaRole.ALERT)).isVisible();
        assertThat(page.url()).endsWith("/sign-in");
    }

    @Test
    public void aForgottenPasswordIsMendedWithACodeThatWorksOnce() {
        add("Runa Holt", "runa");
        Locator members = section("Members");
        press(members, "Code for a new password of Runa Holt").click();
        Locator told = members.getByRole(AriaRole.STATUS);
        assertThat(told).containsText("For runa, until");
        String code = told.locator("strong").innerText().strip();
        assertThat(code).matches(Pattern.compile("\\S{8,}"));

        newPage(1280, 800);
        resetWith(code);
        assertThat(page.locator("details")).containsText("The new password is set");
        resetWith(code);
        assertThat(page.locator("details").getByRole(AriaRole.ALERT)).containsText("the code was used already");
        enter("runa", "second-password");
        heading("Today").waitFor();
    }

    private void resetWith(String code) {
        go("/sign-in");
        page.getByText("I forgot my password").click();
        field("Name to sign in with").fill("runa");
        field("Code").fill(code);
        field("New password").fill("second-password");
        button("Set the new password").click();
    }

    @Test
    public void ownPasswordIsChangedAndEveryOtherSessionEnds() {
        add("Isa Moor", "isa");
        newPage(1280, 800);
        enter("isa", "first-password");
        heading("Today").waitFor();
        go("/household");
        Locator mine = section("Your password");
        in(mine, "Password now").fill("not-my-password");
        in(mine, "New password").fill("third-password");
        press(mine, "Change it").click();
        assertThat(mine).not().containsText("Changed.");
        in(mine, "Password now").fill("first-password");
        press(mine, "Change it").click();
        assertThat(mine).containsText("Changed. You are signed out everywhere else.");
        assertThat(section("Where you are signed in")).containsText("this one");
        enter("isa", "third-password");
        heading("Today").waitFor();
    }

    @Test
    public void aTimeZoneThatIsNoneIsRefusedBesideItsField() {
        Locator where = section("Where it is");
        String known = in(where, "Time zone").inputValue();
        in(where, "Time zone").fill("Merrow/Nowhere");
        press(where, "Save").click();
        assertThat(where).containsText("must be a time zone such as Europe/London");
        in(where, "Time zone").fill(known);
        press(where, "Save").click();
        assertThat(where).containsText("Saved.");
    }
}
