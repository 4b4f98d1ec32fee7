package org.sallowbrook.server.archive;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.DigestOutputStream;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.Collections;
import java.util.HashMap;
import java.util.HashSet;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipFile;
import org.sallowbrook.core.measure.InvalidInput;
import org.sallowbrook.server.archive.Tables.Table;
import org.sallowbrook.server.platform.Picture;
import tools.jackson.core.JacksonException;
import tools.jackson.core.JsonParser;
import tools.jackson.core.JsonToken;
import tools.jackson.core.StreamReadFeature;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * An archive that somebody sent. Nothing of it is believed: names, sizes and sums are held to what the format says before a line
 * is read, and what is no table of ours is not read at all.
 */
final class ArchiveFile implements AutoCloseable {

    @FunctionalInterface
    interface Row {
        /** @param line counted from 1 */
        void read(ObjectNode row, int line);
    }

    /** Of one file of the archive, unpacked; pictures have their own limit. */
    private static final long MOST_FILE = 512L * 1024 * 1024;

    private static final long MOST_ALL = 4L * 1024 * 1024 * 1024;
    private static final int MOST_FILES = 200_000;
    private static final int MOST_HEAD = 1024 * 1024;
    private static final long MOST_MANIFEST = 64L * 1024 * 1024;

    /** Text that packs better than this was made to. */
    private static final int MOST_PACKED = 100;

    private static final Pattern SUM = Pattern.compile("[0-9a-f]{64} {2}\\S.*");

    /** What goes along for people and other programs, and is not read. */
    private static final Pattern BESIDE = Pattern.compile("schema/[a-z_]+\\.schema\\.json|lists/[a-z-]+\\.csv");

    private static final JsonMapper JSON = JsonMapper.builder()
            .enable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
            .enable(DeserializationFeature.FAIL_ON_MISSING_CREATOR_PROPERTIES)
            .enable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
            .enable(DeserializationFeature.FAIL_ON_READING_DUP_TREE_KEY)
            .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
            // Rows are read one after the other out of one list.
            .disable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
            .build();

    private final ZipFile zip;
    private final ArchiveHead head;

    private ArchiveFile(ZipFile zip, ArchiveHead head) {
        this.zip = zip;
        this.head = head;
    }

    /** @throws InvalidInput at "file" saying what is wrong with it */
    static ArchiveFile open(Path file) throws IOException {
        ZipFile zip;
        try {
            zip = new ZipFile(file.toFile(), StandardCharsets.UTF_8);
        } catch (ZipException e) {
            throw refused("is no archive of Sallowbrook, or was cut off");
        }
        try {
            Map<String, String> sums = sums(zip, Files.size(file));
            for (Map.Entry<String, String> sum : sums.entrySet()) {
                if (!sum(zip, sum.getKey()).equals(sum.getValue())) {
                    throw refused("is damaged: " + sum.getKey() + " is not what was written");
                }
            }
            return new ArchiveFile(zip, head(zip));
        } catch (ZipException e) {
            zip.close();
            throw refused("is damaged, or was cut off");
        } catch (IOException | RuntimeException e) {
            zip.close();
            throw e;
        }
    }

    /** The checksums that its manifest names: of every file but itself, each once. */
    private static Map<String, String> sums(ZipFile zip, long packed) throws IOException {
        Set<String> names = new HashSet<>();
        long all = 0;
        if (zip.size() > MOST_FILES) {
            throw refused("holds more than " + MOST_FILES + " files");
        }
        for (ZipEntry entry : Collections.list(zip.entries())) {
            String name = entry.getName();
            if (!names.add(name)) {
                throw refused("holds " + shown(name) + " twice");
            }
            if (!known(name)) {
                throw refused(
                        "holds " + shown(name) + ", which no archive of Sallowbrook does; nothing of it was read");
            }
            long most = name.startsWith("pictures/") ? Picture.MOST_BYTES : MOST_FILE;
            if (entry.getSize() < 0 || entry.getSize() > most) {
                throw refused("holds " + name + ", which is larger than any that Sallowbrook writes");
            }
            all += entry.getSize();
        }
        if (all > MOST_ALL || all > Math.max(MOST_HEAD, packed * MOST_PACKED)) {
            throw refused("would be far larger unpacked than it says; nothing of it was read");
        }
        Map<String, String> sums = new HashMap<>();
        for (String line : new String(bytes(zip, "manifest", MOST_MANIFEST), StandardCharsets.UTF_8).split("\n")) {
            if (!SUM.matcher(line).matches() || sums.put(line.substring(66), line.substring(0, 64)) != null) {
                throw refused("is damaged: its manifest can't be read");
            }
        }
        Set<String> named = new HashSet<>(sums.keySet());
        named.add("manifest");
        if (!named.equals(names)) {
            throw refused("is damaged: its manifest does not name what is in it");
        }
        return sums;
    }

    private static boolean known(String name) {
        return name.equals("archive.json")
                || name.equals("manifest")
                || BESIDE.matcher(name).matches()
                || Tables.ALL.stream()
                        .anyMatch(t -> name.equals(file(t))
                                || t.picture()
                                        && name.matches("pictures/" + t.name()
                                                + "/[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}\\.jpg"));
    }

    private static String file(Table table) {
        return "tables/" + table.name() + ".json";
    }

    private static String sum(ZipFile zip, String name) throws IOException {
        MessageDigest sum;
        try {
            sum = MessageDigest.getInstance("SHA-256");
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
        copy(zip, name, MOST_FILE, new DigestOutputStream(OutputStream.nullOutputStream(), sum));
        return HexFormat.of().formatHex(sum.digest());
    }

    private static byte[] bytes(ZipFile zip, String name, long most) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        copy(zip, name, most, out);
        return out.toByteArray();
    }

    /** Counts what comes: the size an entry says is only what it says. */
    private static void copy(ZipFile zip, String name, long most, OutputStream out) throws IOException {
        ZipEntry entry = zip.getEntry(name);
        if (entry == null) {
            throw refused("is no archive of Sallowbrook: it has no " + shown(name));
        }
        byte[] buffer = new byte[64 * 1024];
        long read = 0;
        try (InputStream in = zip.getInputStream(entry)) {
            for (int n = in.read(buffer); n >= 0; n = in.read(buffer)) {
                read += n;
                if (read > most || read > entry.getSize()) {
                    throw refused("holds " + shown(name) + ", which is larger than it says");
                }
                out.write(buffer, 0, n);
            }
        }
    }

    private static ArchiveHead head(ZipFile zip) throws IOException {
        try {
            ArchiveHead head = JSON.readValue(bytes(zip, "archive.json", MOST_HEAD), ArchiveHead.class);
            if (!ArchiveHead.FORMAT.equals(head.format())) {
                throw refused("is no archive of Sallowbrook");
            }
            if (head.layout() > ArchiveHead.LAYOUT) {
                throw refused("was made by a later version of Sallowbrook; update this one first");
            }
            if (head.schema() == null
                    || head.madeAt() == null
                    || head.madeBy() == null
                    || head.household() == null
                    || head.household().id() == null
                    || head.household().name() == null
                    || head.rows() == null) {
                throw refused("is damaged: archive.json does not say all it must");
            }
            return head;
        } catch (JacksonException e) {
            throw refused("is damaged: archive.json can't be read (" + e.getOriginalMessage() + ")");
        }
    }

    ArchiveHead head() {
        return head;
    }

    boolean has(Table table) {
        return zip.getEntry(file(table)) != null;
    }

    /** Each row in turn; there are as many as the head says. */
    void rows(Table table, Row reader) throws IOException {
        int line = 0;
        ZipEntry entry = zip.getEntry(file(table));
        if (entry != null) {
            try (InputStream in = zip.getInputStream(entry);
                    JsonParser parser = JSON.createParser(in)) {
                if (parser.nextToken() != JsonToken.START_ARRAY) {
                    throw refused(file(table) + " is no list");
                }
                while (parser.nextToken() == JsonToken.START_OBJECT) {
                    ObjectNode row = (ObjectNode) JSON.readTree(parser);
                    reader.read(row, ++line);
                }
                if (parser.currentToken() != JsonToken.END_ARRAY || parser.nextToken() != null) {
                    throw refused(file(table) + " holds something else than rows after line " + line);
                }
            } catch (JacksonException e) {
                throw refused(file(table) + " can't be read after row " + line + " (" + e.getOriginalMessage() + ")");
            }
        }
        Integer said = head.rows().get(table.name());
        if (line != (said == null ? 0 : said)) {
            throw refused(file(table) + " has " + line + " rows and its head says " + (said == null ? 0 : said));
        }
    }

    /** @return empty where there is none */
    byte[] picture(Table table, UUID id) throws IOException {
        String name = ArchiveWriter.picture(table, id);
        return zip.getEntry(name) == null ? new byte[0] : bytes(zip, name, Picture.MOST_BYTES);
    }

    @Override
    public void close() throws IOException {
        zip.close();
    }

    static InvalidInput refused(String why) {
        return new InvalidInput(List.of(new InvalidInput.Violation("file", why)));
    }

    /** A name out of the file, as far as it can be shown. */
    private static String shown(String name) {
        return name.codePoints()
                .limit(60)
                .filter(c -> !Character.isISOControl(c))
                .mapToObj(Character::toString)
                .collect(Collectors.joining());
    }
}
