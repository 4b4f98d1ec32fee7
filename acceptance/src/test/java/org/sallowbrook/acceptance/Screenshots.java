package org.sallowbrook.acceptance;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.TimeoutError;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.Media;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import javax.imageio.ImageIO;
import org.testng.annotations.Test;

/** Takes the pictures of docs/screenshots from the demo data. No test by its name: runs only by ./sallowbrook screenshots. */
public class Screenshots extends InBrowser {

    private static final Path FOLDER = Path.of(System.getProperty("screenshots.folder", "../docs/screenshots"));

    @Test
    public void take() {
        go("/");
        heading("Today").waitFor();
        shot("today");
        go("/field");
        link("Marigold bed").first().waitFor();
        page.getByText("Counted by warmth").first().waitFor();
        page.evaluate("() => window.scrollTo(0, 0)");
        shot("field");
        go("/field/walk");
        page.getByText("To carry").waitFor();
        shot("walk");
        openStand("Meadowsweet, willow side");
        link("Identify").click();
        IdentifyPage look = IdentifyPage.at(page, "in flower")
                .see("How the leaf is divided", "interruptedly pinnate, tiny leaflets between large ones");
        look.see("The leaflet at the tip", "much larger, with three to five lobes")
                .see("Edge of the leaf or leaflet", "sharp teeth of two sizes")
                .see("Underside of the leaf", "white-felted")
                .see("Where the leaf meets the stem", "a stalk with leafy toothed stipules at its foot")
                .see("Stem in cross-section", "angled or furrowed, solid")
                .see("How the flowers are grouped", "frothy, side branches overtop the middle")
                .see("Petals", "five, separate")
                .see("Stamens", "many, longer than the petals")
                .verdict();
        page.evaluate("() => window.scrollTo(0, 0)");
        shot("verdict");
        go("/drying");
        page.locator("main a[href^='/drying/']").first().click();
        page.getByText("hours on the rack").waitFor();
        shot("drying");
        go("/shelf");
        link("meadowsweet, tops").first().waitFor();
        shot("shelf");
        go("/making");
        link("Meadowsweet tincture, third").first().waitFor();
        shot("bench");
        contactSheetOfVessels();
        go("/making/tincture");
        page.getByText("Pressed yield").waitFor();
        choose("Herb", "meadowsweet");
        page.getByText("grain spirit 96 %").first().waitFor();
        shot("tincture");
        go("/year");
        page.getByText("of 100 seasons").first().waitFor();
        shot("year");
        go("/dosing");
        link("Ilse Varga-Holm: Meadowsweet tincture").click();
        page.getByText("Planned and taken").waitFor();
        shot("course");
        go("/dosing");
        link("Corwen Holm").first().click();
        field("Name of the substance, as on the packet").fill("zorbatrin");
        page.getByText("is not known here").waitFor();
        shot("person");
        go("/tracing");
        choose("Follow", "Meadowsweet, north ditch");
        page.getByText("What was made of it").waitFor();
        shot("trace");
        go("/herbarium");
        page.getByRole(AriaRole.IMG, new Page.GetByRoleOptions().setName("agrimony, in flower"))
                .first()
                .waitFor();
        shot("herbarium");
        go("/herbarium/meadowsweet");
        page.getByText("Parts and doses").waitFor();
        shot("plant");
        go("/archive");
        page.getByText("Who did what, and why").waitFor();
        shot("records");
        newPage(390, 844);
        signIn("ilse");
        openStand("Comfrey by the footbridge");
        link("Identify").click();
        IdentifyPage.at(page, "a rosette")
                .see("Outline of the blade", "egg- to lance-shaped, pointed")
                .see("Edge of the leaf or leaflet", "entire, without teeth");
        page.getByText("cannot see it").waitFor();
        page.evaluate("() => window.scrollTo(0, 0)");
        shot("identify-phone");
        openStand("St John's-wort on the verge");
        link("Harvest").click();
        for (String step : new String[] {"how much", "look again", "record it"}) {
            button("Next: " + step).click();
        }
        region("Harvest findings").waitFor();
        shot("harvest-phone");
        astray();
    }

    /** What keeps people from being led astray: the help page at the desk, on a phone and on paper, and a second who signs. */
    private void astray() {
        List<byte[]> pictures = new ArrayList<>();
        go("/help");
        heading("Something is wrong").waitFor();
        pictures.add(page.screenshot());
        page.setViewportSize(1280, 800);
        pictures.add(page.screenshot());
        page.setViewportSize(700, 990);
        page.emulateMedia(new Page.EmulateMediaOptions().setMedia(Media.PRINT));
        pictures.add(page.screenshot());
        newPage(1000, 800);
        signIn("tam");
        go("/shelf");
        link("German chamomile").first().click();
        heading("German chamomile").waitFor();
        field("What resolved it").fill("asked the grower");
        button("Release").click();
        page.getByText("two people together").first().waitFor();
        page.getByText("two people together").first().scrollIntoViewIfNeeded();
        pictures.add(page.screenshot());
        List<BufferedImage> images = pictures.stream().map(Screenshots::image).toList();
        int height = 800;
        int width = images.stream()
                .mapToInt(i -> i.getWidth() * height / i.getHeight() + 8)
                .sum();
        BufferedImage sheet = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
        Graphics2D pen = sheet.createGraphics();
        pen.setRenderingHint(RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BICUBIC);
        int x = 0;
        for (BufferedImage image : images) {
            int w = image.getWidth() * height / image.getHeight();
            pen.drawImage(image, x, 0, w, height, null);
            x += w + 8;
        }
        pen.dispose();
        try {
            ImageIO.write(sheet, "png", FOLDER.resolve("astray.png").toFile());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static BufferedImage image(byte[] png) {
        try {
            return ImageIO.read(new ByteArrayInputStream(png));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Every preparation's vessel as its bench first draws it, on one page. */
    private void contactSheetOfVessels() {
        go("/making");
        link("Tincture").first().waitFor();
        List<String> benches = page.locator("main a[href^='/making/']").all().stream()
                .map(a -> a.getAttribute("href"))
                .filter(href -> href.matches("/making/[a-z-]+"))
                .distinct()
                .toList();
        List<Map<String, String>> drawn = new ArrayList<>();
        for (String bench : benches) {
            go(bench);
            Locator vessel = page.locator("[data-vessel]").first();
            Locator none = page.getByText("It cannot be made like this");
            page.locator("main h1").waitFor();
            try {
                vessel.or(none).first().waitFor(new Locator.WaitForOptions().setTimeout(4000));
            } catch (TimeoutError ignored) {
                // A bench without a vessel: calibration, say.
                continue;
            }
            if (vessel.count() > 0) {
                drawn.add(Map.of(
                        "name",
                        page.locator("main h1").innerText(),
                        "svg",
                        (String) vessel.evaluate("e => e.outerHTML"),
                        "label",
                        vessel.getAttribute("aria-label")));
            }
        }
        page.evaluate("""
                drawn => {
                  const make = (tag, style, text) => { const e = document.createElement(tag); Object.assign(e.style, style); if (text) e.textContent = text; return e };
                  const main = make('main', {display: 'grid', gridTemplateColumns: 'repeat(6, 1fr)', gap: '6px', padding: '8px'});
                  for (const [n, d] of drawn.entries()) {
                    const cell = make('figure', {margin: '0', padding: '6px', border: '1px solid var(--line)', overflow: 'hidden'});
                    cell.append(make('figcaption', {fontWeight: '600', fontSize: '15px'}, d.name));
                    const sheet = make('div', {});
                    // Each comes of a page of its own, where ids begin anew.
                    sheet.innerHTML = d.svg.replace(/_r_([0-9a-z]+)_/g, `_v${n}_$1_`);
                    const svg = sheet.querySelector('svg');
                    Object.assign(svg.style, {height: '128px', maxHeight: '128px', width: '100%'});
                    cell.append(sheet, make('p', {fontSize: '11px', lineHeight: '1.25', margin: '4px 0 0', color: 'var(--soft)'}, d.label));
                    main.append(cell);
                  }
                  document.body.replaceChildren(main);
                }""", drawn);
        shot("vessels");
    }

    private void shot(String name) {
        page.evaluate("() => document.fonts.ready");
        page.screenshot(new Page.ScreenshotOptions().setPath(FOLDER.resolve(name + ".png")));
    }
}
