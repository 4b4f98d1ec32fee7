package org.sallowbrook.acceptance;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.HashMap;
import java.util.Map;
import java.util.regex.Pattern;

/** A blind look: the stage, characters ticked the way an observer does, in any order, and what it says at the end. */
final class IdentifyPage {

    private final Page page;
    private final Map<String, String> said = new HashMap<>();

    private IdentifyPage(Page page) {
        this.page = page;
    }

    static IdentifyPage at(Page page, String stage) {
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^" + stage)))
                .click();
        page.getByText("Any other character").waitFor();
        return new IdentifyPage(page);
    }

    /** What is seen at meadowsweet in flower, up to what it says. */
    static void meadowsweet(Page page) {
        IdentifyPage.at(page, "in flower")
                .see("How the leaf is divided", "interruptedly pinnate, tiny leaflets between large ones")
                .see("The leaflet at the tip", "much larger, with three to five lobes")
                .see("Edge of the leaf or leaflet", "sharp teeth of two sizes")
                .see("Underside of the leaf", "white-felted")
                .see("Where the leaf meets the stem", "a stalk with leafy toothed stipules at its foot")
                .see("Stem in cross-section", "angled or furrowed, solid")
                .see("How the flowers are grouped", "frothy, side branches overtop the middle")
                .see("Petals", "five, separate")
                .see("Stamens", "many, longer than the petals")
                .verdict();
    }

    IdentifyPage see(String character, String state) {
        Locator question = question(character);
        if (!question.first().isVisible()) {
            page.getByText("Any other character, in any order").click();
        }
        answer(question.first(), state);
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Take back " + character))
                .waitFor();
        said.put(character, state);
        return this;
    }

    private Locator question(String character) {
        return page.getByRole(
                AriaRole.GROUP, new Page.GetByRoleOptions().setName(character).setExact(true));
    }

    private static void answer(Locator question, String state) {
        question.getByRole(
                        AriaRole.BUTTON,
                        new Locator.GetByRoleOptions().setName(state).setExact(true))
                .click();
    }

    /** Asks what it says; what is asked again is answered as it was before. */
    void verdict() {
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("What does this say?"))
                .click();
        Locator verdict = page.getByRole(
                AriaRole.REGION, new Page.GetByRoleOptions().setName("Verdict").setExact(true));
        Locator again = page.getByText("Look again, at another part");
        Locator early = page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Say it all the same"));
        verdict.or(again).or(early).first().waitFor();
        if (early.isVisible()) {
            early.click();
        }
        while (true) {
            verdict.or(again).first().waitFor();
            if (verdict.isVisible()) {
                return;
            }
            Locator question = page.locator("fieldset:has(> legend)").first();
            String character = String.valueOf(question.locator("legend").textContent());
            answer(question, said.getOrDefault(character, ""));
            question(character)
                    .waitFor(new Locator.WaitForOptions()
                            .setState(com.microsoft.playwright.options.WaitForSelectorState.DETACHED));
        }
    }
}
