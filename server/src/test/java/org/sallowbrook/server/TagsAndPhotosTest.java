package org.sallowbrook.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import javax.imageio.ImageIO;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Staked plants and photos, on the demo's stands. */
public class TagsAndPhotosTest extends ServerTest {

    private String stand(String name) {
        return as("ilse")
                .get("/api/field/stands")
                .body()
                .valueStream()
                .filter(s -> s.path("name").asString().startsWith(name))
                .findFirst()
                .orElseThrow()
                .path("id")
                .asString();
    }

    private static Map<String, Object> root(String tag) {
        Map<String, Object> body = new HashMap<>(Map.of(
                "id",
                UUID.randomUUID(),
                "part",
                "ROOT",
                "stage",
                "WINTER",
                "on",
                today(),
                "massG",
                200,
                "shareTaken",
                0.01,
                "weather",
                "dry",
                "tells",
                List.of("root", "root-scent", "winter-remains"),
                "examinedSingly",
                true));
        if (tag != null) {
            body.put("tagId", tag);
        }
        return body;
    }

    /** The demo's valerian: dead in winter it can't be told, the staked plant can be dug. */
    @Test
    public void aRootThatCantBeToldIsDugOnlyFromATaggedPlant() {
        Client ilse = as("ilse");
        String valerian = stand("Valerian");
        String path = "/api/field/stands/" + valerian + "/harvests/check";
        String tag = ilse.get("/api/field/stands/" + valerian + "/tags")
                .body()
                .get(0)
                .path("id")
                .asString();
        assertThat(ilse.post(path, root(null)).codes()).contains("NOT_TELLABLE_NOW");
        assertThat(ilse.post(path, root(tag)).codes()).doesNotContain("NOT_TELLABLE_NOW", "TAG_EXPIRED");
        Map<String, Object> grabbed = root(tag);
        grabbed.put("examinedSingly", false);
        assertThat(ilse.post(path, grabbed).codes()).contains("TAG_SINGLY");
        // A tag of another stand, or of nobody, opens nothing; nor does saving without the check.
        assertThat(ilse.post("/api/field/stands/" + stand("Ramsons") + "/harvests/check", root(tag))
                        .status())
                .isEqualTo(404);
        assertThat(ilse.post("/api/field/stands/" + valerian + "/harvests", root(null))
                        .codes())
                .contains("NOT_TELLABLE_NOW");
    }

    @Test
    public void onlyAConfirmedStandIsTagged() {
        var tag = Map.of("id", UUID.randomUUID(), "stake", "red 1", "place", "by the bridge");
        assertThat(as("ilse")
                        .post("/api/field/stands/" + stand("Comfrey") + "/tags", tag)
                        .codes())
                .contains("TAG_UNCONFIRMED");
    }

    @Test
    public void ramsonsWithLiliesAreNotPickedInHandfuls() {
        Map<String, Object> leaf = new HashMap<>(root(null));
        leaf.put("part", "LEAF");
        leaf.put("stage", "FLOWERING");
        leaf.put("tells", List.of("leaf-start", "leaf-underside", "leaf-outline"));
        leaf.put("examinedSingly", false);
        String path = "/api/field/stands/" + stand("Ramsons") + "/harvests/check";
        assertThat(as("ilse").post(path, leaf).codes()).contains("MIXED_STAND");
        leaf.put("examinedSingly", true);
        assertThat(as("ilse").post(path, leaf).codes()).doesNotContain("MIXED_STAND");
    }

    // ---- photos

    private static byte[] picture(String format, int width, int height) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB), format, out);
        return out.toByteArray();
    }

    private Client.Answer upload(Client client, String stand, UUID id, byte[] file, String more) throws IOException {
        ByteArrayOutputStream body = new ByteArrayOutputStream();
        body.write(("--edge\r\nContent-Disposition: form-data; name=\"file\"; filename=\"p\"\r\n"
                        + "Content-Type: application/octet-stream\r\n\r\n")
                .getBytes(StandardCharsets.US_ASCII));
        body.write(file);
        body.write("\r\n--edge--\r\n".getBytes(StandardCharsets.US_ASCII));
        return client.send(
                "POST",
                "/api/field/stands/" + stand + "/photos?photoId=" + id + "&takenOn=2026-01-05&words=leaf" + more,
                body.toByteArray(),
                "multipart/form-data; boundary=edge",
                null);
    }

    /** A JPEG with a comment that must not survive: the picture is drawn anew. */
    private static byte[] withSecret(byte[] jpeg) {
        byte[] secret = "GPS 55.0 2.5".getBytes(StandardCharsets.US_ASCII);
        byte[] out = new byte[jpeg.length + secret.length + 4];
        out[0] = jpeg[0];
        out[1] = jpeg[1];
        out[2] = (byte) 0xFF;
        out[3] = (byte) 0xFE;
        out[4] = 0;
        out[5] = (byte) (secret.length + 2);
        System.arraycopy(secret, 0, out, 6, secret.length);
        System.arraycopy(jpeg, 2, out, 6 + secret.length, jpeg.length - 2);
        return out;
    }

    @Test
    public void aPhotoIsMadeSmallerAndKeepsNothingButThePicture() throws IOException {
        Client ilse = as("ilse");
        String stand = stand("Ramsons");
        UUID id = UUID.randomUUID();
        byte[] file = withSecret(picture("jpeg", 3200, 1600));
        var saved = upload(ilse, stand, id, file, "").expect(200);
        assertThat(saved.body().path("width").asInt()).isEqualTo(1600);
        assertThat(saved.body().path("height").asInt()).isEqualTo(800);
        assertThat(saved.body().path("latitude").isNull()
                        || saved.body().path("latitude").isMissingNode())
                .isTrue();
        byte[] kept = ilse.get("/api/field/photos/" + id).raw().body();
        assertThat(new String(kept, StandardCharsets.ISO_8859_1)).doesNotContain("GPS 55.0");
        assertThat(ImageIO.read(new ByteArrayInputStream(kept)).getWidth()).isEqualTo(1600);
        // The same request again makes no second photo; another household sees none.
        upload(ilse, stand, id, file, "").expect(200);
        long mine = ilse.get("/api/field/stands/" + stand + "/photos")
                .body()
                .valueStream()
                .filter(p -> p.path("id").asString().equals(id.toString()))
                .count();
        assertThat(mine).isEqualTo(1);
        assertThat(as("lantern").get("/api/field/photos/" + id).status()).isEqualTo(404);
        assertThat(ilse.delete("/api/field/photos/" + id, null).status()).isEqualTo(204);
    }

    /** A verdict is judged again by the pictures of that day; a picture is not lent to another stand's look. */
    @Test
    public void aPhotoBelongsToTheLookItWasTakenAt() throws IOException {
        Client ilse = as("ilse");
        String stand = stand("Ramsons");
        String look = ilse.get("/api/field/stands/" + stand + "/identifications")
                .body()
                .get(0)
                .path("id")
                .asString();
        UUID id = UUID.randomUUID();
        var saved = upload(ilse, stand, id, picture("png", 20, 10), "&identificationId=" + look);
        assertThat(saved.expect(200).body().path("identificationId").asString()).isEqualTo(look);
        var listed = ilse.get("/api/field/stands/" + stand + "/photos").body();
        assertThat(listed.valueStream()
                        .filter(p -> p.path("id").asString().equals(id.toString()))
                        .map(p -> p.path("identificationId").asString()))
                .containsExactly(look);
        assertThat(upload(
                                ilse,
                                stand("Valerian"),
                                UUID.randomUUID(),
                                picture("png", 20, 10),
                                "&identificationId=" + look)
                        .status())
                .isEqualTo(404);
        assertThat(ilse.delete("/api/field/photos/" + id, null).status()).isEqualTo(204);
    }

    @Test
    public void aPositionIsKeptOnlyOnPurpose() throws IOException {
        var saved = upload(
                as("ilse"), stand("Ramsons"), UUID.randomUUID(), picture("png", 20, 10), "&latitude=55&longitude=2.5");
        assertThat(saved.expect(200).body().path("latitude").asDouble()).isEqualTo(55);
    }

    @DataProvider
    public Object[][] noPictures() throws IOException {
        return new Object[][] {
            {"no picture at all".getBytes(StandardCharsets.US_ASCII)},
            {picture("gif", 10, 10)},
            {java.util.Arrays.copyOf(picture("png", 400, 400), 60)},
            {new byte[0]},
        };
    }

    @Test(dataProvider = "noPictures")
    public void whatIsNoPictureIsRefused(byte[] file) throws IOException {
        var reply = upload(as("ilse"), stand("Ramsons"), UUID.randomUUID(), file, "");
        assertThat(reply.status()).isEqualTo(400);
        assertThat(reply.wrongFields()).contains("file");
    }

    @Test
    public void aFileTooLargeIsRefusedWithWords() throws IOException {
        var reply = upload(as("ilse"), stand("Ramsons"), UUID.randomUUID(), new byte[14 * 1024 * 1024], "");
        assertThat(reply.status()).isIn(400, 413);
        assertThat(reply.words()).contains("12 MB");
    }
}
