package org.sallowbrook.acceptance;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.testng.annotations.Test;

/** One key and one touch away: whatever the household has, and the pages. */
public class SearchTest extends InBrowser {

    private Locator found(String name) {
        return main().getByRole(AriaRole.LINK, new Locator.GetByRoleOptions().setName(Pattern.compile("^" + name)));
    }

    @Test
    public void aKeyOpensItAndTypingFinds() {
        go("/");
        heading("Today").waitFor();
        page.keyboard().press("/");
        heading("Search").waitFor();
        assertThat(field("Plants, stands, jars, batches, people, notes, pages")).isFocused();
        page.keyboard().type("valerin");
        assertThat(found("common valerian").first()).isVisible();
        accessible("search");
        field("Plants, stands, jars, batches, people, notes, pages").fill("ditch");
        found("Valerian along the ditch").first().click();
        heading("Valerian along the ditch").waitFor();
        page.goBack();
        assertThat(field("Plants, stands, jars, batches, people, notes, pages")).hasValue("ditch");
    }

    /** By what they are for, and not by their names. */
    @Test
    public void pagesAreFoundByWhatPeopleComeFor() {
        String[][] wanted = {
            {"backup", "Household"},
            {"winter", "Stock-take"},
            {"cough", "What helps?"},
            {"calendar", "Today"},
            {"poison", "Something is wrong"}
        };
        for (String[] w : wanted) {
            go("/search?q=" + w[0]);
            assertThat(found(w[1]).last()).isVisible();
        }
        go("/search?q=zzqx");
        assertThat(main()).containsText("Nothing here is called “zzqx”");
    }

    @Test
    public void itIsOneTouchAwayOnAPhone() {
        Page small = newPage(390, 844);
        page = small;
        signIn("ilse");
        small.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Search"))
                .click();
        heading("Search").waitFor();
        field("Plants, stands, jars, batches, people, notes, pages").fill("ilse");
        assertThat(found("Ilse").first()).isVisible();
        accessible("search on a phone");
    }
}
