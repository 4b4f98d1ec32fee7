package org.sallowbrook.acceptance;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;

/** Ticks characters the way an observer does, in any order. */
final class IdentifyPage {

    private IdentifyPage() {}

    static void see(Page page, String character, String state) {
        Locator others = page.getByText("Any other character, in any order");
        Locator question = page.getByRole(
                AriaRole.GROUP, new Page.GetByRoleOptions().setName(character).setExact(true));
        if (!question.first().isVisible()) {
            others.click();
        }
        question.first()
                .getByRole(
                        AriaRole.BUTTON,
                        new Locator.GetByRoleOptions().setName(state).setExact(true))
                .click();
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Take back " + character))
                .waitFor();
    }
}
