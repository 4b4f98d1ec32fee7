package org.sallowbrook.acceptance;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.PlaywrightException;
import com.microsoft.playwright.TimeoutError;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.Cookie;
import com.microsoft.playwright.options.ServiceWorkerPolicy;
import com.microsoft.playwright.options.WaitForSelectorState;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.testng.ITestResult;
import org.testng.annotations.AfterClass;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.AfterSuite;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.BeforeSuite;

/** One application and one Chromium for all tests; a fresh signed-in page for each class. */
public abstract class InBrowser {

    private static final List<String> ARGS = List.of(
            "--disable-gpu",
            "--disable-quic",
            "--no-first-run",
            "--disable-background-networking",
            "--disable-component-update",
            "--disable-sync");

    private static final System.Logger LOG = System.getLogger(InBrowser.class.getName());

    private static Application application;
    private static Playwright playwright;
    private static Browser browser;
    private static String axe;

    private BrowserContext context;
    private boolean persistent;
    protected Page page;

    @BeforeSuite
    public void open() throws IOException, InterruptedException {
        if (application == null) {
            application = Application.start();
            playwright = Playwright.create(
                    new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")));
            browser = playwright
                    .chromium()
                    .launch(new BrowserType.LaunchOptions()
                            .setExecutablePath(Path.of("/usr/bin/chromium"))
                            .setChromiumSandbox(false)
                            .setArgs(ARGS));
            axe = Files.readString(Path.of("..", "web", "node_modules", "axe-core", "axe.min.js"));
        }
    }

    @AfterSuite(alwaysRun = true)
    public void close() throws IOException, InterruptedException {
        if (playwright != null) {
            playwright.close();
            playwright = null;
        }
        if (application != null) {
            application.close();
            application = null;
        }
    }

    @BeforeClass
    public void signIn() {
        page = newPage(1280, 800);
        signIn("ilse");
    }

    /** What stood on the page when a test failed: of a run elsewhere nothing else is left to see. */
    @AfterMethod(alwaysRun = true)
    public void tell(ITestResult result) {
        if (result.isSuccess() || page == null || page.isClosed()) {
            return;
        }
        String shown;
        try {
            shown = page.locator("body").innerText(new Locator.InnerTextOptions().setTimeout(2_000));
        } catch (PlaywrightException e) {
            shown = e.getMessage();
        }
        LOG.log(
                System.Logger.Level.ERROR,
                "{0} failed at {1}, which showed:\n{2}",
                result.getName(),
                page.url(),
                shown);
    }

    @AfterClass(alwaysRun = true)
    public void leave() {
        if (context != null) {
            context.close();
        }
    }

    protected final Page newPage(int width, int height) {
        if (context != null) {
            context.close();
        }
        context = browser.newContext(new Browser.NewContextOptions()
                .setViewportSize(width, height)
                .setServiceWorkers(ServiceWorkerPolicy.BLOCK)
                .setReducedMotion(com.microsoft.playwright.options.ReducedMotion.REDUCE));
        context.setDefaultTimeout(15_000);
        PlaywrightAssertions.setDefaultAssertionTimeout(15_000);
        persistent = false;
        page = context.newPage();
        return page;
    }

    /** A phone that keeps what it has in a folder, as a browser does that is closed and opened again. */
    protected final BrowserContext phone(Path profile) {
        if (context != null) {
            context.close();
        }
        context = anotherPhone(profile);
        persistent = true;
        page = context.pages().get(0);
        return context;
    }

    /** One beside the one in use; whoever takes it in hand sets {@link #page}, and closes it. */
    protected final BrowserContext anotherPhone(Path profile, String... more) {
        List<String> args = new ArrayList<>(ARGS);
        args.addAll(List.of(more));
        BrowserContext phone = playwright
                .chromium()
                .launchPersistentContext(
                        profile,
                        new BrowserType.LaunchPersistentContextOptions()
                                .setExecutablePath(Path.of("/usr/bin/chromium"))
                                .setChromiumSandbox(false)
                                .setArgs(args)
                                .setViewportSize(390, 844)
                                .setReducedMotion(com.microsoft.playwright.options.ReducedMotion.REDUCE));
        phone.setDefaultTimeout(15_000);
        PlaywrightAssertions.setDefaultAssertionTimeout(15_000);
        return phone;
    }

    /** Where a phone begins that joins the house. */
    protected static String joining() {
        return application.joining();
    }

    /** A page of its own, without the application, in a time zone; closed with the test class. */
    protected final Page emptyPage(String zone) {
        if (context != null) {
            context.close();
        }
        context = browser.newContext(new Browser.NewContextOptions().setTimezoneId(zone));
        PlaywrightAssertions.setDefaultAssertionTimeout(15_000);
        page = context.newPage();
        return page;
    }

    /** Who was signed in once; a password is slow to check on purpose. */
    private static final Map<String, List<Cookie>> SIGNED_IN = new ConcurrentHashMap<>();

    protected final void signIn(String name) {
        if (!known(name)) {
            signInByHand(name);
            if (!persistent) {
                SIGNED_IN.put(name, page.context().cookies());
            }
        }
    }

    /** In a browser of its own, where nobody is signed in yet, with the session of before; false where it has ended. */
    private boolean known(String name) {
        List<Cookie> kept = SIGNED_IN.get(name);
        if (kept == null || persistent || !page.context().cookies().isEmpty()) {
            return false;
        }
        page.context().addCookies(kept);
        go("/");
        Locator todayOrSignIn = heading("Today").or(button("Sign in")).first();
        todayOrSignIn.waitFor();
        if (heading("Today").count() > 0) {
            return true;
        }
        page.context().clearCookies();
        return false;
    }

    private void signInByHand(String name) {
        go("/sign-in");
        field("Name").fill(name);
        field("Password").fill("merrow-demo");
        button("Sign in").click();
        page.waitForURL(application.url() + "/");
        heading("Today").waitFor();
    }

    /** A page opened by its address; a bench or a course that an earlier test left unsaved is not on it. */
    protected final void go(String path) {
        if (page.url().startsWith("http")) {
            page.evaluate("for (const key of Object.keys(sessionStorage)) {"
                    + " if (key.startsWith('sallowbrook.draft./')) sessionStorage.removeItem(key) }");
        }
        page.navigate(application.url() + path);
    }

    protected final Locator button(String name) {
        return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name));
    }

    protected final Locator field(String label) {
        return page.getByLabel(label, new Page.GetByLabelOptions().setExact(true));
    }

    protected final Locator link(String name) {
        return page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(name));
    }

    protected final Locator heading(String start) {
        return page.getByRole(
                AriaRole.HEADING, new Page.GetByRoleOptions().setName(start).setLevel(1));
    }

    /** Opens a stand from the field page. */
    protected final void openStand(String name) {
        go("/field");
        link(name).first().click();
        heading(name).waitFor();
    }

    protected final Locator region(String name) {
        return page.getByRole(
                AriaRole.REGION, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    /** A part of the page by its heading. */
    protected final Locator section(String title) {
        return page.locator("section")
                .filter(new Locator.FilterOptions()
                        .setHas(page.getByRole(
                                AriaRole.HEADING,
                                new Page.GetByRoleOptions()
                                        .setName(title)
                                        .setExact(true)
                                        .setLevel(2))));
    }

    protected final Locator main() {
        return page.locator("main");
    }

    /** Chooses from a list by its label, the way a person does. */
    protected final void choose(String label, String option) {
        field(label).click();
        Locator wanted = page.getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName(option))
                .first();
        wanted.click();
        Locator list = page.getByRole(AriaRole.LISTBOX);
        try {
            list.waitFor(new Locator.WaitForOptions()
                    .setState(WaitForSelectorState.HIDDEN)
                    .setTimeout(2_000));
        } catch (TimeoutError e) {
            // A tenth of a second after it opens, a long list scrolls to what is chosen in it: nobody is there by then
            // but we,
            // and between press and release the option had moved away.
            wanted.click();
            list.waitFor(new Locator.WaitForOptions().setState(WaitForSelectorState.HIDDEN));
        }
    }

    /** WCAG 2.2 AA by axe on what is shown now. */
    @SuppressWarnings("unchecked")
    protected final void accessible(String view) {
        page.waitForLoadState();
        page.evaluate(axe);
        Object result = page.evaluate("async () => (await axe.run(document, {runOnly: ['wcag2a','wcag2aa','wcag21a',"
                + "'wcag21aa','wcag22aa']})).violations.map(v => v.id + ': ' + v.nodes.map(n => n.html).join(' | '))");
        assertThat((List<String>) result).as("axe on " + view).isEmpty();
    }
}
