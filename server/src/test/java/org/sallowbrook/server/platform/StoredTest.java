package org.sallowbrook.server.platform;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.tngtech.archunit.core.domain.JavaField;
import com.tngtech.archunit.core.domain.JavaModifier;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.BiConsumer;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * Every document that is kept, held to files written in each of its schemas (stored/NAME/CASE.SCHEMA.json). A schema that was
 * once written is never edited: whoever changes a record adds an upgrade and the files of the new schema.
 */
public class StoredTest {

    private static final JsonMapper JSON = JsonMapper.shared();
    private static final Path FILES = Path.of("src/test/resources/stored");

    /** By name; found in the classes themselves, so that none can be forgotten. */
    private static final Map<String, Stored<?>> DOCUMENTS = new TreeMap<>();

    static {
        new ClassFileImporter()
                        .withImportOption(ImportOption.Predefined.DO_NOT_INCLUDE_TESTS)
                        .importPackages("org.sallowbrook.server")
                        .stream()
                        .flatMap(c -> c.getFields().stream())
                        .filter(f -> f.getRawType().isEquivalentTo(Stored.class)
                                && f.getModifiers().contains(JavaModifier.STATIC))
                        .map(StoredTest::document)
                        .forEach(d -> DOCUMENTS.put(d.name(), d));
    }

    private static Stored<?> document(JavaField field) {
        try {
            var reflected = field.reflect();
            reflected.setAccessible(true);
            return (Stored<?>) reflected.get(null);
        } catch (IllegalAccessException e) {
            throw new IllegalStateException(e);
        }
    }

    /** @param schema the number in its name */
    private record Golden(Stored<?> document, Path file, String of, int schema) {
        String text() {
            try {
                return Files.readString(file);
            } catch (IOException e) {
                throw new IllegalStateException(e);
            }
        }

        @Override
        public String toString() {
            return FILES.relativize(file).toString();
        }
    }

    private static List<Golden> goldens() {
        try (Stream<Path> files = Files.walk(FILES)) {
            return files.filter(Files::isRegularFile)
                    .sorted()
                    .map(StoredTest::golden)
                    .toList();
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
    }

    private static Golden golden(Path file) {
        String[] name = file.getFileName().toString().split("\\.");
        Stored<?> document = DOCUMENTS.get(file.getParent().getFileName().toString());
        assertThat(document).as("%s is of no document", file).isNotNull();
        return new Golden(document, file, name[0], Integer.parseInt(name[1]));
    }

    @DataProvider
    public static Iterator<Object[]> files() {
        return goldens().stream().map(g -> new Object[] {g}).iterator();
    }

    @DataProvider
    public static Iterator<Object[]> now() {
        return goldens().stream()
                .filter(g -> g.schema() == g.document().schema())
                .map(g -> new Object[] {g})
                .iterator();
    }

    @Test
    public void everySchemaOfEveryDocumentHasAFile() {
        Map<String, List<Integer>> have = goldens().stream()
                .collect(Collectors.groupingBy(
                        g -> g.document().name(),
                        TreeMap::new,
                        Collectors.collectingAndThen(
                                Collectors.toList(),
                                all -> all.stream()
                                        .map(Golden::schema)
                                        .distinct()
                                        .sorted()
                                        .toList())));
        Map<String, List<Integer>> wanted = new TreeMap<>();
        DOCUMENTS.forEach((name, d) ->
                wanted.put(name, IntStream.rangeClosed(1, d.schema()).boxed().toList()));
        assertThat(have).isEqualTo(wanted);
    }

    /** What the same case says in an older schema reads as what it says in this one. */
    @Test(dataProvider = "files")
    public void anOldOneSaysTheSame(Object golden) {
        Golden old = (Golden) golden;
        Golden same = goldens().stream()
                .filter(g -> g.document() == old.document()
                        && g.of().equals(old.of())
                        && g.schema() == old.document().schema())
                .findFirst()
                .orElseThrow(() -> new AssertionError(
                        old + " has no file in the schema of today: " + rewritten(old.document(), old.text())));
        assertThat(old.document().read(old.text())).isEqualTo(same.document().read(same.text()));
    }

    @Test(dataProvider = "now")
    public void itIsWrittenAsTheFileSays(Object golden) {
        Golden now = (Golden) golden;
        assertThat(JSON.readTree(rewritten(now.document(), now.text()))).isEqualTo(JSON.readTree(now.text()));
    }

    /** A member more or less, at every place of it, is an error with its name. */
    @Test(dataProvider = "now")
    public void aMemberMoreOrLessIsRefusedByName(Object golden) {
        Golden now = (Golden) golden;
        List<String> tried = new ArrayList<>();
        each(now.text(), (changed, name) -> {
            tried.add(name);
            assertThatThrownBy(() -> now.document().read(changed.toString()))
                    .as(changed.toString())
                    .isInstanceOf(Stored.Unreadable.class)
                    .hasMessageContaining(name);
        });
        assertThat(tried).hasSizeGreaterThan(2);
    }

    @Test(dataProvider = "now")
    public void whatANewerVersionWroteIsNotGuessedAt(Object golden) {
        Golden now = (Golden) golden;
        ObjectNode newer = (ObjectNode) JSON.readTree(now.text());
        newer.put("schema", now.schema() + 1);
        assertThatThrownBy(() -> now.document().read(newer.toString()))
                .isInstanceOf(Stored.Unreadable.class)
                .hasMessageContaining("newer version");
    }

    private static void each(String text, BiConsumer<JsonNode, String> changed) {
        int objects = objects(JSON.readTree(text)).size();
        for (int i = 0; i < objects; i++) {
            ObjectNode before = objects(JSON.readTree(text)).get(i);
            for (String member : before.propertyNames()) {
                JsonNode tree = JSON.readTree(text);
                objects(tree).get(i).remove(member);
                changed.accept(tree, member);
            }
            JsonNode tree = JSON.readTree(text);
            objects(tree).get(i).put("drops", 7);
            changed.accept(tree, "drops");
        }
    }

    private static List<ObjectNode> objects(JsonNode tree) {
        List<ObjectNode> found = new ArrayList<>();
        if (tree instanceof ObjectNode object) {
            found.add(object);
        }
        tree.forEach(child -> found.addAll(objects(child)));
        return found;
    }

    private static <T extends Record> String rewritten(Stored<T> document, String text) {
        return document.write(document.read(text));
    }
}
