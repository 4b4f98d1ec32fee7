package org.sallowbrook.server.calendar;

import static org.assertj.core.api.Assertions.assertThat;

import biweekly.Biweekly;
import biweekly.component.VEvent;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.server.platform.Due;
import org.sallowbrook.server.platform.DueSource;
import org.testng.annotations.Test;

/** What is written, read by another library. */
public class IcalTest {

    private static final LocalDate TODAY = LocalDate.of(2026, 7, 15);
    private static final DueSource.Span SPAN = new DueSource.Span(
            TODAY.minusDays(400),
            TODAY.plusDays(366),
            TODAY,
            TODAY.atTime(9, 0).atZone(ZoneId.of("Europe/London")).toInstant(),
            ZoneId.of("Europe/London"));
    private static final UUID SUBJECT = new UUID(1, 2);

    private static Due due(Due.Kind kind, LocalDate on, @Nullable Integer slot, String title) {
        return new Due(kind, "field", SUBJECT, title, "", on, SPAN.morning(on), false, null, slot, null, null);
    }

    private static List<VEvent> read(Due... all) {
        Chosen chosen = new Chosen(EnumSet.allOf(Chosen.Of.class), true, Chosen.Alarm.NONE);
        return Biweekly.parse(new Ical("house", chosen, SPAN, null)
                        .due(Arrays.asList(all))
                        .toString())
                .first()
                .getEvents();
    }

    private static String id(VEvent event) {
        return event.getUid().getValue();
    }

    @Test
    public void whatIsPutOffKeepsItsIdAndWhatComesAgainHasOneForEachDay() {
        for (Due.Kind kind : List.of(Due.Kind.PRESS, Due.Kind.COME_BACK, Due.Kind.USE_UP)) {
            VEvent before = read(due(kind, TODAY.plusDays(3), null, "x")).get(0);
            VEvent after = read(due(kind, TODAY.plusDays(9), null, "x")).get(0);
            assertThat(id(after)).isEqualTo(id(before));
            assertThat(after.getDateStart().getValue())
                    .isAfter(before.getDateStart().getValue());
        }
        List<VEvent> again = read(
                due(Due.Kind.DOSE, TODAY, 1, "x"),
                due(Due.Kind.DOSE, TODAY, 2, "x"),
                due(Due.Kind.DOSE, TODAY.plusDays(1), 1, "x"));
        assertThat(again).extracting(IcalTest::id).doesNotHaveDuplicates();
    }

    /** Flower and leaf of one stand in one week are two things to do. */
    @Test
    public void twoPartsOfOneStandAreTwo() {
        assertThat(read(due(Due.Kind.GATHER, TODAY, 1, "leaf"), due(Due.Kind.GATHER, TODAY, 2, "flower")))
                .extracting(IcalTest::id)
                .doesNotHaveDuplicates();
    }

    @Test
    public void anyWordsComeBackAsTheyWere() {
        String words = "Under the willow, with commas; and \"quotes\", a \\ and\na second line: żółć 茶";
        assertThat(read(due(Due.Kind.COME_BACK, TODAY, null, words))
                        .get(0)
                        .getSummary()
                        .getValue())
                .isEqualTo(words);
    }

    /** What is late stands on today, said to be late. */
    @Test
    public void whatIsLateIsOnToday() {
        VEvent late =
                read(due(Due.Kind.PRESS, TODAY.minusDays(5), null, "Press it")).get(0);
        assertThat(late.getSummary().getValue()).isEqualTo("Press it (late)");
        assertThat(late.getDateStart().getValue().toInstant())
                .isEqualTo(TODAY.atStartOfDay(ZoneId.systemDefault()).toInstant());
    }
}
