package org.sallowbrook.core.notes;

import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.measure.InvalidInput;
import org.sallowbrook.core.notes.Note.Seen;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

public class NoteTest {

    private static final LocalDate TODAY = LocalDate.of(2026, 6, 18);

    private static Note note(String words, Seen seen, @Nullable Double latitude, @Nullable Double longitude) {
        return new Note(TODAY, words, seen, "", latitude, longitude);
    }

    private static Seen taste(String taste) {
        return new Seen("", "", "", "", taste);
    }

    @DataProvider
    public Object[][] refused() {
        return new Object[][] {
            {note(" ", Seen.NOTHING, null, null), true, "words"},
            {note("x".repeat(10_001), Seen.NOTHING, null, null), true, "words"},
            {note("three more here", Seen.NOTHING, 51.0, null), true, "longitude"},
            {note("three more here", Seen.NOTHING, 91.0, 0.0), true, "latitude"},
            {note("three more here", Seen.NOTHING, Double.NaN, 0.0), true, "latitude"},
            {note("bitter?", taste("bitter"), null, null), false, "seen.taste"},
            {note("", new Seen("x".repeat(201), "", "", "", ""), null, null), true, "seen"},
            {new Note(TODAY.plusDays(1), "words", Seen.NOTHING, "", null, null), true, "day"},
            {new Note(TODAY, "words", Seen.NOTHING, "x".repeat(301), null, null), true, "place"},
        };
    }

    @Test(dataProvider = "refused")
    public void whatCantBeKeptIsRefusedAtItsField(Note note, boolean made, String field) {
        assertThatThrownBy(() -> note.check(TODAY, made, false))
                .isInstanceOfSatisfying(
                        InvalidInput.class,
                        e -> org.assertj.core.api.Assertions.assertThat(
                                        e.violations().stream().map(InvalidInput.Violation::field))
                                .contains(field));
    }

    @Test
    public void wordsSensesOrAPictureAreEnough() {
        assertThatCode(() -> note("x".repeat(10_000), Seen.NOTHING, 51.0, -2.0).check(TODAY, false, false))
                .doesNotThrowAnyException();
        assertThatCode(() -> note("", taste("too bitter, shorter"), null, null).check(TODAY, true, false))
                .doesNotThrowAnyException();
        assertThatCode(() -> note("", Seen.NOTHING, null, null).check(TODAY, false, true))
                .doesNotThrowAnyException();
    }
}
