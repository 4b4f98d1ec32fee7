package org.sallowbrook.bench;

import java.io.IOException;
import java.net.CookieManager;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.time.Duration;

/** Somebody signed in at a running server. */
final class Visitor {

    final String base;
    final HttpClient client;
    private final CookieManager cookies = new CookieManager();

    private Visitor(String base) {
        this.base = base;
        client = HttpClient.newBuilder()
                .cookieHandler(cookies)
                .connectTimeout(Duration.ofSeconds(2))
                .build();
    }

    /** One after the other: many at one door at once are taken for somebody who guesses. */
    static synchronized Visitor signIn(String base, String username) throws IOException, InterruptedException {
        Visitor v = new Visitor(base);
        v.get("/api/session");
        HttpResponse<String> in =
                v.post("/api/session", "{\"username\":\"" + username + "\",\"password\":\"merrow-demo\"}");
        if (in.statusCode() != 204) {
            throw new IllegalStateException("can't sign in: " + in.statusCode() + " " + in.body());
        }
        v.get("/api/session");
        return v;
    }

    HttpResponse<String> get(String path) throws IOException, InterruptedException {
        return client.send(
                HttpRequest.newBuilder(URI.create(base + path))
                        .timeout(Duration.ofSeconds(60))
                        .build(),
                BodyHandlers.ofString());
    }

    HttpRequest posting(String path, String body) {
        return HttpRequest.newBuilder(URI.create(base + path))
                .timeout(Duration.ofSeconds(60))
                .header("Content-Type", "application/json")
                .header("X-XSRF-TOKEN", token())
                .POST(BodyPublishers.ofString(body))
                .build();
    }

    HttpResponse<String> post(String path, String body) throws IOException, InterruptedException {
        return client.send(posting(path, body), BodyHandlers.ofString());
    }

    /** For a request that is written by hand. */
    String cookieHeader() {
        return cookies.getCookieStore().getCookies().stream()
                .map(c -> c.getName() + "=" + c.getValue())
                .collect(java.util.stream.Collectors.joining("; "));
    }

    String token() {
        return cookies.getCookieStore().getCookies().stream()
                .filter(c -> c.getName().equals("XSRF-TOKEN"))
                .map(java.net.HttpCookie::getValue)
                .findFirst()
                .orElse("");
    }
}
