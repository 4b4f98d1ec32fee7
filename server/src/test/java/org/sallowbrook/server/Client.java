package org.sallowbrook.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.CookieManager;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.ObjectMapper;
import tools.jackson.databind.json.JsonMapper;

/** Talks to the running server as any script would: cookies, CSRF token, JSON. */
final class Client {

    static final ObjectMapper JSON = JsonMapper.builder().build();

    record Answer(int status, JsonNode body, HttpResponse<byte[]> raw) {

        List<String> wrongFields() {
            return body.path("errors")
                    .valueStream()
                    .map(e -> e.path("field").asString())
                    .toList();
        }

        List<String> codes() {
            return body.path("findings")
                    .valueStream()
                    .map(f -> f.path("code").asString())
                    .toList();
        }

        String words() {
            return new String(raw.body(), java.nio.charset.StandardCharsets.UTF_8);
        }

        Answer expect(int wanted) {
            assertThat(status).as(String.valueOf(body)).isEqualTo(wanted);
            return this;
        }
    }

    private final String url;
    private final CookieManager cookies = new CookieManager();
    private final HttpClient http =
            HttpClient.newBuilder().cookieHandler(cookies).build();

    private Client(String url) {
        this.url = url;
    }

    static Client nobody(int port) {
        Client client = new Client("http://127.0.0.1:" + port);
        client.get("/api/session");
        return client;
    }

    static Client of(int port, String name) {
        Client client = nobody(port);
        client.post("/api/session", Map.of("username", name, "password", "merrow-demo"))
                .expect(204);
        client.get("/api/session");
        return client;
    }

    Answer asked(String path, String header, String value) {
        return send(HttpRequest.newBuilder(URI.create(url + path))
                .header(header, value)
                .GET());
    }

    boolean signedIn() {
        return get("/api/session").body().path("signedIn").asBoolean();
    }

    Answer get(String path) {
        return send(HttpRequest.newBuilder(URI.create(url + path)).GET());
    }

    Answer post(String path, Object body) {
        return raw(path, body instanceof String text ? text : JSON.writeValueAsString(body));
    }

    Answer raw(String path, String body) {
        return send(json("POST", path, body));
    }

    Answer change(String method, String path, Object body, Object version) {
        return send(json(method, path, JSON.writeValueAsString(body)).header("If-Match", "\"" + version + "\""));
    }

    /** Any body of any type; without If-Match when no version is given. */
    Answer send(String method, String path, byte[] body, String type, @Nullable String version) {
        HttpRequest.Builder request = json(method, path, "")
                .setHeader("Content-Type", type)
                .method(method, HttpRequest.BodyPublishers.ofByteArray(body));
        return send(version == null ? request : request.header("If-Match", "\"" + version + "\""));
    }

    Answer put(String path, Object body, @Nullable String version) {
        return send("PUT", path, JSON.writeValueAsBytes(body), "application/json", version);
    }

    Answer delete(String path, @Nullable String version) {
        return send("DELETE", path, new byte[0], "application/json", version);
    }

    /** Without the token a browser would send. */
    Answer forged(String path, Object body) {
        return send(HttpRequest.newBuilder(URI.create(url + path))
                .header("Content-Type", "application/json")
                .POST(HttpRequest.BodyPublishers.ofString(JSON.writeValueAsString(body))));
    }

    /** A second account's word for what this one does next. */
    String signedBy(String name) {
        return post("/api/session/second", Map.of("username", name, "password", "merrow-demo"))
                .expect(200)
                .body()
                .path("id")
                .asString();
    }

    /** As a page that believes another account to be signed in. */
    Answer meantFor(String account, String method, String path, Object body) {
        return send(json(method, path, JSON.writeValueAsString(body)).header("Sallowbrook-Account", account));
    }

    private HttpRequest.Builder json(String method, String path, String body) {
        String token = cookies.getCookieStore().getCookies().stream()
                .filter(c -> c.getName().equals("XSRF-TOKEN"))
                .map(java.net.HttpCookie::getValue)
                .findFirst()
                .orElse("");
        return HttpRequest.newBuilder(URI.create(url + path))
                .header("Content-Type", "application/json")
                .header("X-XSRF-TOKEN", token)
                .method(method, HttpRequest.BodyPublishers.ofString(body));
    }

    private Answer send(HttpRequest.Builder request) {
        try {
            HttpResponse<byte[]> response = http.send(request.build(), HttpResponse.BodyHandlers.ofByteArray());
            boolean json =
                    response.headers().firstValue("Content-Type").orElse("").contains("json");
            JsonNode body = json ? JSON.readTree(response.body()) : JSON.nullNode();
            return new Answer(response.statusCode(), body, response);
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }
}
