package org.sallowbrook.acceptance;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.CookieManager;
import java.net.ServerSocket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.List;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import org.testng.SkipException;
import org.testng.annotations.AfterClass;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;

/** Installed beside the machine's own root, where nothing asks systemd: laid out, started, brought up to date and back, taken away. */
public class ServiceTest {

    private record Said(int status, String words) {}

    private Path root;
    private int port;

    @BeforeClass
    public void folder() throws IOException {
        if (System.getenv("SALLOWBROOK_TEST_FOLDER") == null) {
            throw new SkipException("only where ./sallowbrook test made the database");
        }
        root = Files.createTempDirectory("sallowbrook-service");
        // The database's own user must be able to reach its folder.
        Files.setPosixFilePermissions(root, PosixFilePermissions.fromString("rwxr-xr-x"));
        try (ServerSocket free = new ServerSocket(0)) {
            port = free.getLocalPort();
        }
    }

    @AfterClass(alwaysRun = true)
    public void tidy() throws IOException, InterruptedException {
        if (root != null) {
            said(Map.of(), "./sallowbrook", "uninstall");
            new ProcessBuilder("rm", "-rf", root.toString()).start().waitFor();
        }
    }

    private Said said(Map<String, String> environment, String... words) throws IOException, InterruptedException {
        Path said = Files.createTempFile("said", ".txt");
        ProcessBuilder builder =
                new ProcessBuilder(words).directory(Path.of("..").toFile());
        // Of the tests' own database it knows nothing.
        builder.environment().keySet().removeIf(k -> k.startsWith("SALLOWBROOK_"));
        builder.environment().putAll(environment);
        builder.environment().putAll(Map.of("SALLOWBROOK_ROOT", root.toString(), "SALLOWBROOK_PORT", "" + port));
        Process process =
                builder.redirectErrorStream(true).redirectOutput(said.toFile()).start();
        assertThat(process.waitFor(240, TimeUnit.SECONDS)).isTrue();
        return new Said(process.exitValue(), Files.readString(said));
    }

    private HttpResponse<String> ask(HttpClient client, String path, String method, String body)
            throws IOException, InterruptedException {
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + path))
                .header("Content-Type", "application/json");
        ((CookieManager) client.cookieHandler().orElseThrow())
                .getCookieStore().getCookies().stream()
                        .filter(c -> c.getName().equals("XSRF-TOKEN"))
                        .forEach(c -> request.header("X-XSRF-TOKEN", c.getValue()));
        return client.send(
                request.method(method, HttpRequest.BodyPublishers.ofString(body))
                        .build(),
                HttpResponse.BodyHandlers.ofString());
    }

    @Test
    public void itIsInstalledBroughtUpToDateAndBackAndTakenAway() throws IOException, InterruptedException {
        Said installed = said(Map.of(), "./sallowbrook", "install");
        assertThat(installed.status()).as(installed.words()).isZero();
        Path programs = root.resolve("opt/sallowbrook");
        Path first = programs.resolve("current").toRealPath();
        String unit = Files.readString(root.resolve("etc/systemd/system/sallowbrook.service"));
        String program = unit.replaceFirst("(?s).*ExecStart=/(\\S+).*", "$1");
        assertThat(root.resolve(program)).isExecutable();
        assertThat(said(Map.of(), "./sallowbrook", "install").words()).contains("installed already");

        HttpClient keeper =
                HttpClient.newBuilder().cookieHandler(new CookieManager()).build();
        ask(keeper, "/api/session", "GET", "");
        assertThat(ask(
                                keeper,
                                "/api/setup",
                                "POST",
                                "{\"household\":\"Ditch End\",\"zone\":\"Europe/Berlin\",\"region\":\"merrow\",\"name\":\"Tamsin\","
                                        + "\"username\":\"tamsin\",\"password\":\"under the old alder\"}")
                        .statusCode())
                .isEqualTo(204);

        // A version that has no time to come up is one that does not come up.
        Said failed = said(Map.of("SALLOWBROOK_PATIENCE", "0"), "./sallowbrook", "update");
        assertThat(failed.status()).as(failed.words()).isNotZero();
        assertThat(failed.words()).contains("The one of before runs again", "with the records as they were");
        assertThat(programs.resolve("current").toRealPath()).isEqualTo(first);
        assertThat(ask(keeper, "/api/session", "GET", "").body()).contains("Ditch End");

        Said updated = said(Map.of(), "./sallowbrook", "update");
        assertThat(updated.status()).as(updated.words()).isZero();
        assertThat(programs.resolve("current").toRealPath()).isNotEqualTo(first);
        assertThat(ask(keeper, "/api/session", "GET", "").body()).contains("Ditch End");

        Said gone = said(Map.of(), programs.resolve("current/sallowbrook").toString(), "uninstall");
        assertThat(gone.status()).as(gone.words()).isZero();
        assertThat(programs).doesNotExist();
        assertThat(root.resolve("var/lib/sallowbrook/household/cluster/PG_VERSION"))
                .exists();
    }

    /** Where no builder is at hand the container's file is read instead. */
    @Test
    public void theContainerIsMadeOfPackagesAndRunsAsNobody() throws IOException {
        List<String> lines = Files.readAllLines(Path.of("../service/Containerfile"));
        assertThat(lines).filteredOn(l -> l.startsWith("FROM ")).allMatch(l -> l.contains("/debian:"));
        assertThat(lines).noneMatch(l -> l.startsWith("ADD ") || l.matches(".*\\b(curl|wget|https?:).*"));
        assertThat(lines.stream().filter(l -> l.startsWith("USER "))).last().isEqualTo("USER sallowbrook");
        // What is copied from where it was built is there.
        lines.stream()
                .filter(l -> l.startsWith("COPY --from=build /src/"))
                .forEach(l -> assertThat(Path.of("..", l.split(" ")[2].substring("/src/".length())))
                        .exists());
        // Compose finds it from its own folder.
        String compose = Files.readString(Path.of("../service/compose.yaml"));
        Path context = Path.of("../service").resolve(compose.replaceFirst("(?s).*context: (\\S+).*", "$1"));
        assertThat(context.resolve(compose.replaceFirst("(?s).*dockerfile: (\\S+).*", "$1")))
                .exists();
        assertThat(compose).contains(":/var/lib/sallowbrook");
    }
}
