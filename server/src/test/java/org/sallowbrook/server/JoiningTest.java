package org.sallowbrook.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayInputStream;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.security.KeyStore;
import java.security.cert.Certificate;
import java.security.cert.CertificateFactory;
import javax.net.ssl.SSLContext;
import javax.net.ssl.SSLHandshakeException;
import javax.net.ssl.TrustManagerFactory;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** Two doors in the house: http, which leads to joining and nowhere else, and https, for whoever trusts the household's authority. */
public class JoiningTest extends ServerTest {

    private static final String PLAIN = "http://127.0.0.1:" + HOME.plainPort();
    private static final String HTTPS = "https://127.0.0.1:" + HOME.port();

    private static HttpResponse<byte[]> ask(HttpClient client, String method, String url) throws Exception {
        return client.send(
                HttpRequest.newBuilder(URI.create(url))
                        .method(method, HttpRequest.BodyPublishers.noBody())
                        .build(),
                HttpResponse.BodyHandlers.ofByteArray());
    }

    /** As a phone does: with what it loaded over http, and was told by its owner to trust. */
    private static HttpClient joined() throws Exception {
        byte[] loaded = ask(HttpClient.newHttpClient(), "GET", PLAIN + "/api/joining/authority.crt")
                .body();
        Certificate authority =
                CertificateFactory.getInstance("X.509").generateCertificate(new ByteArrayInputStream(loaded));
        KeyStore trusted = KeyStore.getInstance("PKCS12");
        trusted.load(null, null);
        trusted.setCertificateEntry("house", authority);
        TrustManagerFactory trust = TrustManagerFactory.getInstance(TrustManagerFactory.getDefaultAlgorithm());
        trust.init(trusted);
        SSLContext context = SSLContext.getInstance("TLS");
        context.init(null, trust.getTrustManagers(), null);
        return HttpClient.newBuilder().sslContext(context).build();
    }

    @Test
    public void whoTrustsTheAuthorityComesIn() throws Exception {
        HttpClient phone = joined();
        HttpResponse<byte[]> here = ask(phone, "GET", HTTPS + "/api/joining/here");
        assertThat(here.statusCode()).isEqualTo(204);
        // The page for joining, which came over http, may see that it worked.
        assertThat(here.headers().firstValue("Access-Control-Allow-Origin")).contains("*");
        HttpResponse<byte[]> session = ask(phone, "GET", HTTPS + "/api/session");
        assertThat(session.statusCode()).isEqualTo(200);
        assertThat(session.headers().allValues("Set-Cookie")).isNotEmpty().allMatch(c -> c.contains("Secure"));
        assertThat(session.headers().firstValue("Strict-Transport-Security")).isEmpty();
        assertThat(ask(phone, "GET", HTTPS + "/api/shelf/lots").statusCode()).isEqualTo(401);
    }

    @DataProvider
    public Object[][] opening() {
        return new Object[][] {{"/api/setup"}, {"/api/%73etup"}, {"/api/setup;x=1"}, {"/api//setup"}, {"/api/setup/"}};
    }

    /** Else the first guest of an empty household would be its keeper. */
    @Test(dataProvider = "opening")
    public void aHouseholdIsOpenedAtItsMachineAlone(String path) throws Exception {
        HttpClient phone = joined();
        HttpResponse<byte[]> answer = phone.send(
                HttpRequest.newBuilder(URI.create(HTTPS + path))
                        .header("Content-Type", "application/json")
                        .POST(HttpRequest.BodyPublishers.ofString("{}"))
                        .build(),
                HttpResponse.BodyHandlers.ofByteArray());
        assertThat(answer.statusCode()).isIn(400, 403);
        if (path.equals("/api/setup")) {
            assertThat(new String(answer.body(), java.nio.charset.StandardCharsets.UTF_8))
                    .contains("made on the machine itself");
        }
    }

    @Test
    public void whoDoesNotTrustItDoesNot() {
        assertThatThrownBy(() -> ask(HttpClient.newHttpClient(), "GET", HTTPS + "/api/joining/here"))
                .isInstanceOf(SSLHandshakeException.class);
    }

    @DataProvider
    public Object[][] closed() {
        return new Object[][] {
            {"GET", "/"},
            {"GET", "/sign-in"},
            {"GET", "/index.html"},
            {"GET", "/api/session"},
            {"POST", "/api/session"},
            {"POST", "/api/joining/about"},
            {"GET", "/api/joining"},
            {"GET", "/api/joining/here"},
            {"GET", "/assets/%2e%2e/index.html"},
            {"GET", "/assets/..%2findex.html"},
            {"GET", "/join.html;x=/index.html"},
            {"GET", "/actuator/health"},
            {"GET", "/sw.js"},
        };
    }

    @Test(dataProvider = "closed")
    public void overHttpThereIsJoiningAlone(String method, String path) throws Exception {
        HttpResponse<byte[]> answer = ask(HttpClient.newHttpClient(), method, PLAIN + path);
        assertThat(answer.statusCode()).isIn(303, 400);
        if (answer.statusCode() == 303) {
            assertThat(answer.headers().firstValue("Location")).contains("/join.html");
        }
        assertThat(answer.body().length).isLessThan(2000);
    }

    @Test
    public void whatIsShownToBeComparedIsTheSame() throws Exception {
        JsonNode shown = as("ilse").get("/api/joining").expect(200).body().get(0);
        byte[] about = ask(HttpClient.newHttpClient(), "GET", PLAIN + "/api/joining/about")
                .body();
        assertThat(new String(about, java.nio.charset.StandardCharsets.UTF_8))
                .contains(shown.path("fingerprint").asString(), "\"port\":" + HOME.port());
        assertThat(shown.path("fingerprint").asString()).matches("([0-9A-F]{4} ){15}[0-9A-F]{4}");
        as("tam").get("/api/joining").expect(403);
    }
}
