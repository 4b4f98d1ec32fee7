package org.sallowbrook.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** Who belongs to a household, with what role, and for how long. */
public class MembersTest extends ServerTest {

    private static final String FIRST = "the first password";

    private JsonNode add(String username, String role) {
        return as("ilse")
                .post(
                        "/api/household/members",
                        Map.of("username", username, "name", "Somebody " + username, "role", role, "password", FIRST))
                .expect(200)
                .body();
    }

    private Client signedIn(String username, String password) {
        Client client = Client.nobody(port);
        client.post("/api/session", Map.of("username", username, "password", password))
                .expect(204);
        client.get("/api/session");
        return client;
    }

    private Client.Answer signIn(String username, String password) {
        return Client.nobody(port).post("/api/session", Map.of("username", username, "password", password));
    }

    private void change(JsonNode member, String role, boolean disabled, int status) {
        as("ilse")
                .put(
                        "/api/household/members/" + member.path("id").asString(),
                        Map.of("role", role, "disabled", disabled),
                        null)
                .expect(status);
    }

    /** A change of role holds at once: whoever was signed in with the old one is so no longer. */
    @Test
    public void aMemberIsAddedChangedAndLetInNoMore() {
        JsonNode added = add("newhelper", "HELPER");
        Client helper = signedIn("newhelper", FIRST);
        helper.post("/api/household/members", Map.of()).expect(403);
        helper.get("/api/household/members").expect(403);
        change(added, "READER", false, 200);
        helper.get("/api/shelf/lots").expect(401);
        Client reader = signedIn("newhelper", FIRST);
        reader.post("/api/shelf/supplies", Map.of()).expect(403);
        change(added, "READER", true, 200);
        reader.get("/api/shelf/lots").expect(401);
        signIn("newhelper", FIRST).expect(401);
        change(added, "HELPER", false, 200);
        signIn("newhelper", FIRST).expect(204);
    }

    @Test
    public void aHouseholdKeepsAKeeperAndAnothersMembersAreNone() {
        JsonNode ilse = find(as("ilse"), "/api/household/members", "username", "ilse");
        change(ilse, "HELPER", false, 409);
        change(ilse, "KEEPER", true, 409);
        assertThat(as("lantern").get("/api/household/members").body().toString())
                .doesNotContain("ilse");
        as("lantern")
                .put(
                        "/api/household/members/" + ilse.path("id").asString(),
                        Map.of("role", "READER", "disabled", true),
                        null)
                .expect(404);
        as("lantern")
                .post("/api/household/members/" + ilse.path("id").asString() + "/reset", "{}")
                .expect(404);
    }

    @Test
    public void aPasswordIsChangedByWhoKnowsItAndEndsTheOtherSessions() {
        add("changer", "READER");
        Client here = signedIn("changer", FIRST);
        Client there = signedIn("changer", FIRST);
        assertThat(here.put("/api/session/password", Map.of("current", "wrong", "password", "another one"), null)
                        .expect(400)
                        .wrongFields())
                .containsExactly("current");
        here.put("/api/session/password", Map.of("current", FIRST, "password", "another one"), null)
                .expect(204);
        here.get("/api/shelf/lots").expect(200);
        there.get("/api/shelf/lots").expect(401);
        signIn("changer", FIRST).expect(401);
        signIn("changer", "another one").expect(204);
    }

    @Test
    public void aForgottenPasswordIsSetAnewByAPrintedCodeOnce() {
        JsonNode member = add("forgetful", "HELPER");
        String code = as("ilse")
                .post("/api/household/members/" + member.path("id").asString() + "/reset", "{}")
                .expect(200)
                .body()
                .path("code")
                .asString();
        Client nobody = Client.nobody(port);
        nobody.post(
                        "/api/session/reset",
                        Map.of("username", "forgetful", "code", "AAAA-BBBB-CCCC", "password", "remembered"))
                .expect(401);
        // As it is read out: small letters, no dashes.
        Map<String, String> right = Map.of(
                "username",
                "Forgetful",
                "code",
                code.toLowerCase(java.util.Locale.ROOT).replace("-", " "),
                "password",
                "remembered");
        nobody.post("/api/session/reset", right).expect(204);
        nobody.post("/api/session/reset", right).expect(401);
        signIn("forgetful", "remembered").expect(204);
    }

    @Test
    public void sessionsAreListedAndEnded() {
        add("wanderer", "READER");
        Client here = signedIn("wanderer", FIRST);
        Client there = signedIn("wanderer", FIRST);
        JsonNode all = here.get("/api/session/all").expect(200).body();
        assertThat(all).hasSize(2);
        String other = all.valueStream()
                .filter(s -> !s.path("current").asBoolean())
                .map(s -> s.path("handle").asString())
                .findFirst()
                .orElseThrow();
        here.delete("/api/session/all/" + other, null).expect(204);
        there.get("/api/shelf/lots").expect(401);
        here.get("/api/shelf/lots").expect(200);
        as("tam").delete("/api/session/all/" + other, null).expect(404);
    }

    /** Whoever finds a lost phone is nobody here any more; and a household sees its own alone. */
    @Test
    public void aKeeperEndsTheSessionOfALostPhone() {
        add("strayed", "READER");
        Client phone = signedIn("strayed", FIRST);
        JsonNode lost = as("ilse")
                .get("/api/household/members/sessions")
                .expect(200)
                .body()
                .valueStream()
                .filter(s -> s.path("name").asString().equals("Somebody strayed"))
                .findFirst()
                .orElseThrow();
        assertThat(lost.path("device").asString()).isEqualTo("a computer at 127.0.0.1");
        as("tam").get("/api/household/members/sessions").expect(403);
        String at = "/api/household/members/sessions/" + lost.path("handle").asString();
        as("tam").delete(at, null).expect(403);
        as("lantern").delete(at, null).expect(404);
        phone.get("/api/shelf/lots").expect(200);
        as("ilse").delete(at, null).expect(204);
        phone.get("/api/shelf/lots").expect(401);
        as("ilse").get("/api/shelf/lots").expect(200);
    }

    @Test
    public void aPasswordIsNeitherShortNorCutOffUnseen() {
        for (String password : new String[] {"short", "x".repeat(73), "ü".repeat(37)}) {
            assertThat(as("ilse")
                            .post(
                                    "/api/household/members",
                                    Map.of("username", "nobody", "name", "N", "role", "READER", "password", password))
                            .expect(400)
                            .wrongFields())
                    .containsExactly("password");
        }
    }

    @Test
    public void theRegionIsOneThatCardsCover() {
        Client lantern = as("lantern");
        JsonNode settings = lantern.get("/api/household/settings").expect(200).body();
        assertThat(settings.path("regions").toString()).contains("merrow", "north-west-europe");
        assertThat(lantern.put(
                                "/api/household/settings",
                                Map.of("name", "Lantern Cottage", "zone", "Etc/UTC", "region", "atlantis"),
                                null)
                        .expect(400)
                        .wrongFields())
                .containsExactly("region");
        lantern.put(
                        "/api/household/settings",
                        Map.of("name", "Lantern Cottage", "zone", "Etc/UTC", "region", "north-west-europe"),
                        null)
                .expect(200);
        assertThat(lantern.get("/api/session").body().path("region").asString()).isEqualTo("north-west-europe");
        as("tam")
                .put("/api/household/settings", Map.of("name", "x", "zone", "Etc/UTC", "region", "merrow"), null)
                .expect(403);
    }
}
