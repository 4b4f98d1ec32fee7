package org.sallowbrook.acceptance;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.BrowserContext;
import java.io.ByteArrayInputStream;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.security.MessageDigest;
import java.security.cert.Certificate;
import java.security.cert.CertificateFactory;
import java.util.Base64;
import org.testng.annotations.Test;

/** A phone that comes into the house: from the code on the desk to the field without a line, and out again when it is lost. */
public class JoiningTest extends InBrowser {

    /** What the page for joining hands out, as a browser is told to trust it: by the fingerprint of its key. */
    private static String trusted() throws Exception {
        byte[] loaded = HttpClient.newHttpClient()
                .send(
                        HttpRequest.newBuilder(URI.create(joining() + "api/joining/authority.crt"))
                                .build(),
                        HttpResponse.BodyHandlers.ofByteArray())
                .body();
        Certificate authority =
                CertificateFactory.getInstance("X.509").generateCertificate(new ByteArrayInputStream(loaded));
        return "--ignore-certificate-errors-spki-list="
                + Base64.getEncoder()
                        .encodeToString(MessageDigest.getInstance("SHA-256")
                                .digest(authority.getPublicKey().getEncoded()));
    }

    @Test
    public void aPhoneThatDoesNotTrustTheHouseYetIsToldWhatIsWanting() {
        newPage(390, 844);
        page.navigate(joining());
        heading("Bring this phone into the house").waitFor();
        accessible("joining");
        page.getByText("It says that a profile was loaded").click();
        assertThat(main()).containsText("Certificate trust");
        accessible("joining, the steps");
        button("Try it").click();
        assertThat(main()).containsText("Not yet");
        // Over http nothing else opens.
        page.navigate(joining() + "shelf");
        heading("Bring this phone into the house").waitFor();
        newPage(1280, 800);
        signIn("ilse");
    }

    @Test(dependsOnMethods = "aPhoneThatDoesNotTrustTheHouseYetIsToldWhatIsWanting")
    public void aPhoneThatTrustsItGoesOutWithoutALine() throws Exception {
        BrowserContext phone = anotherPhone(Files.createTempDirectory("phone"), trusted());
        try {
            page = phone.pages().get(0);
            page.navigate(joining());
            button("Try it").click();
            assertThat(main()).containsText("It works");
            link("Open Sallowbrook").click();
            field("Name").fill("lantern");
            field("Password").fill("merrow-demo");
            button("Sign in").click();
            heading("Notebook").waitFor();
            page.evaluate("() => navigator.serviceWorker.ready.then(() => undefined)");
            page.reload();
            assertThat(section("On this device")).containsText("Cards of plants");
            assertThat(section("On this device")).containsText("without a line for 30 days");
            phone.setOffline(true);
            page.reload();
            heading("Notebook").waitFor();
            phone.setOffline(false);
            // Lost: the keeper ends what it is signed in to, and it is nobody's.
            var lost = page;
            newPage(1280, 800);
            signIn("lantern");
            go("/household/phones");
            heading("Phones of the house").waitFor();
            accessible("phones of the house");
            button("End it").first().click();
            lost.navigate(lost.url());
            assertThat(lost.getByText("Your session has ended").first()).isVisible();
        } finally {
            phone.close();
        }
    }
}
