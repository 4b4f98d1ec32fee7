package org.sallowbrook.core.reckoning;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Collectors;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Every answer can be done again from its printed lines, and docs/reckoning.md shows the lines as they are now. */
public class WorkedExamplesTest {

    private static final Path PAGE = Path.of("..", "docs", "reckoning.md");

    @DataProvider
    public Object[][] examples() {
        return WorkedExamples.all().stream().map(e -> new Object[] {e}).toArray(Object[][]::new);
    }

    @Test(dataProvider = "examples")
    public void theLinesGiveTheAnswer(WorkedExamples.Example example) {
        List<Equation> equations = Equation.all(example.because());
        for (Equation e : equations) {
            assertThat(e.doneAgain())
                    .as("%s: %s", e.what(), e.expression())
                    .isCloseTo(e.printed(), within(e.roundingError()));
        }
        for (double figure : example.figures()) {
            assertThat(equations)
                    .as("no line of \"%s\" ends in %s", example.title(), figure)
                    .anySatisfy(e -> assertThat(e.doneAgain())
                            .isCloseTo(figure, within(Math.max(1e-9, 2e-4 * Math.abs(figure)))));
        }
    }

    @Test
    public void thePageOfWorkedExamplesIsNotStale() throws IOException {
        String now = page();
        if (Boolean.getBoolean("reckoning.write")) {
            Files.writeString(PAGE, now);
        }
        assertThat(Files.readString(PAGE))
                .as("renew it: mvn -pl core test -Dtest=WorkedExamplesTest -Dreckoning.write=true")
                .isEqualTo(now);
    }

    private static String page() {
        StringBuilder page = new StringBuilder("""
                # The reckoning, worked

                Made by the test `WorkedExamplesTest` from the core as it is; the same lines stand under "How this was reckoned" in the interface, and the test does each equation again. Figures are rounded to six places. All examples are invented.
                """);
        String room = "";
        for (WorkedExamples.Example e : WorkedExamples.all()) {
            if (!e.room().equals(room)) {
                room = e.room();
                page.append("\n## ").append(room).append('\n');
            }
            page.append("\n### ").append(e.title()).append('\n');
            page.append(e.because().stream().map(l -> "- " + l + "\n").collect(Collectors.joining()));
            if (!e.findings().isEmpty()) {
                page.append("\nFound:\n");
                page.append(e.findings().stream()
                        .map(f -> "- **" + f.severity() + "** `" + f.code() + "` " + f.message() + " " + f.action()
                                + "\n")
                        .collect(Collectors.joining()));
            }
        }
        return page.toString();
    }
}
