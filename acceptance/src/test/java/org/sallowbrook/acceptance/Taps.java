package org.sallowbrook.acceptance;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.options.AriaRole;
import java.util.Map;
import java.util.regex.Pattern;
import org.testng.annotations.Test;

/**
 * How many taps and filled fields the first-time tasks take. No test by its name: it asserts nothing and runs only when it is
 * asked for, {@code -Dtest=Taps}, on a demo of its own.
 */
public class Taps extends InBrowser {

    /** In the session's store, so that a move to another page does not begin anew; a field counts once a page. */
    private static final String COUNT = """
            (() => {
              const add = (what) => sessionStorage.setItem(what, String(1 + Number(sessionStorage.getItem(what))));
              const seen = new WeakSet();
              document.addEventListener('pointerdown', (e) => e.isTrusted && add('taps'), true);
              document.addEventListener('input', (e) => {
                if (e.target.matches('input, textarea') && !seen.has(e.target)) { seen.add(e.target); add('fields'); }
              }, true);
            })()""";

    private void task(String name, Runnable steps) {
        page.evaluate("() => { sessionStorage.removeItem('taps'); sessionStorage.removeItem('fields') }");
        steps.run();
        Object counted = page.evaluate(
                "() => `${sessionStorage.getItem('taps') ?? 0} taps, ${sessionStorage.getItem('fields') ??"
                        + " 0} fields`");
        System.out.println("TAPS " + name + ": " + counted);
    }

    @Test
    public void count() {
        newPage(1280, 800);
        page.context().addInitScript(COUNT);
        signIn("lantern");
        task("buy and shelve a jar and two spirits", () -> {
            landing("Shelf");
            button("I already have herb").click();
            choose("Plant", "stinging nettle");
            field("How much").fill("50");
            field("Supplier").fill("a stall");
            button("Put the herb on the shelf").click();
            link("stinging nettle").first().waitFor();
            button("I already have spirit").click();
            spirit("grain spirit", "500", "96");
            spirit("table spirit", "700", "40");
        });
        task("a tincture of it", () -> {
            landing("Bench");
            link("Tincture").first().click();
            page.getByText("Pressed yield").waitFor();
            button("Start the batch").click();
            region("Steps").waitFor();
        });
        task("a pot of tea of it", () -> {
            landing("Bench");
            link("Tea").first().click();
            page.getByText("Water to put on").first().waitFor();
            button("Start the batch").click();
            region("Steps").waitFor();
        });
        newPage(1280, 800);
        page.context().addInitScript(COUNT);
        signIn("ilse");
        task("identify, harvest and put meadowsweet on the rack", () -> {
            landing("Field");
            link("Meadowsweet, north ditch").first().click();
            heading("Meadowsweet").waitFor();
            link("Identify").click();
            IdentifyPage.meadowsweet(page);
            button("Keep this verdict").click();
            heading("Meadowsweet").waitFor();
            link("Harvest").click();
            for (String tell :
                    new String[] {"How the leaf is divided", "How the flowers are grouped", "The leaflet at the tip"}) {
                page.getByLabel(Pattern.compile("^" + tell)).check();
            }
            field("Weight").fill("120");
            field("Every piece examined singly").click();
            button("Record the harvest").click();
            heading("Rack").waitFor();
            page.getByRole(AriaRole.LISTITEM)
                    .filter(new Locator.FilterOptions().setHasText("120 g"))
                    .getByRole(AriaRole.BUTTON)
                    .first()
                    .click();
            button("Start drying").click();
            heading("meadowsweet, flowering tops on").waitFor();
        });
        task("weigh by the scale, try it, put it into a jar", () -> {
            button("Read the scale").click();
            page.locator("output").getByText("stable").waitFor();
            button("Record the weight").click();
            page.getByText("1 weighing").first().waitFor();
            button("leaf crumbles").click();
            page.getByText(": leaf crumbles").first().waitFor();
        });
        task("a wrong weighing put right", () -> {
            page.getByText("1 weighing").first().click();
            button("was wrong").first().click();
            field("Why the weighing")
                    .or(page.getByLabel(Pattern.compile("^Why ")))
                    .first()
                    .fill("a slip");
            button("Strike it out").click();
            page.getByText("struck out").first().waitFor();
        });
    }

    private void landing(String name) {
        String path = Map.of("Shelf", "/shelf", "Bench", "/making", "Field", "/field", "People", "/dosing")
                .get(name);
        page.locator("nav a[href='" + path + "']").first().click();
        heading(name).waitFor();
    }

    private void spirit(String name, String amount, String strength) {
        for (Map.Entry<String, String> f :
                Map.of("Name", name, "How much", amount, "Strength", strength).entrySet()) {
            field(f.getKey()).last().fill(f.getValue());
        }
        button("Put it on the shelf").click();
        link(name).first().waitFor();
    }
}
