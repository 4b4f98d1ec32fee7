package org.sallowbrook.core.household;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Duration;
import java.time.Instant;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.household.Loosening.Hand;
import org.sallowbrook.core.household.Loosening.Safeguard;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.InvalidInput;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Who may take back what was noted for safety, and with what words. */
public class LooseningTest {

    private static final String WHY = "it was the neighbour's jar, the numbers were swapped";
    private static final Set<Safeguard> NEVER = EnumSet.of(Safeguard.MOULD, Safeguard.DESCENT);

    /** Each safeguard by each hand with each kind of reason. */
    @DataProvider
    public Object[][] table() {
        return Arrays.stream(Safeguard.values())
                .flatMap(what -> java.util.stream.Stream.of(true, false)
                        .flatMap(keeper -> java.util.stream.Stream.of("Tam Holm", "")
                                .flatMap(second -> java.util.stream.Stream.of(WHY, "x")
                                        .map(reason -> new Object[] {what, keeper, second, reason}))))
                .toArray(Object[][]::new);
    }

    @Test(dataProvider = "table")
    public void onlyByAKeeperOrTwoWithWords(Safeguard what, boolean keeper, String second, String reason) {
        String signed = second.isEmpty() ? null : second;
        if (NEVER.contains(what)) {
            assertThat(codes(what, keeper, signed, reason)).containsExactly("NEVER_TAKEN_BACK");
        } else if (!keeper && signed == null) {
            assertThat(codes(what, keeper, signed, reason)).containsExactly("KEEPER_OR_SECOND");
        } else if (reason.equals("x")) {
            assertThatThrownBy(() -> codes(what, keeper, signed, reason))
                    .isInstanceOf(InvalidInput.class)
                    .hasMessageContaining("reason");
        } else {
            assertThat(codes(what, keeper, signed, reason)).isEmpty();
        }
    }

    private static List<String> codes(Safeguard what, boolean keeper, @Nullable String second, String reason) {
        return Loosening.check(what, new Hand(keeper, second), reason).stream()
                .map(Finding::code)
                .toList();
    }

    @DataProvider
    public Object[][] reasons() {
        return new Object[][] {
            {"x", false},
            {"", false},
            {"ok ok ok ok", false},
            {"aaaaaaaaaaaaaa", false},
            {"....... ...", false},
            {"1234567890", false},
            {"wrong jar", true},
            {"the label was read", true},
            {"Это была другая банка", true},
            {"弄错了", true},
            {"错", false},
        };
    }

    @Test(dataProvider = "reasons")
    public void aReasonSaysSomething(String reason, boolean says) {
        assertThat(Loosening.saysWhy(reason)).isEqualTo(says);
    }

    @Test
    public void nobodyIsNamedAndVouchesInOneBreath() {
        Instant named = Instant.parse("2026-07-01T12:00:00Z");
        SecondObserver oda = new SecondObserver("Oda Brandt", named);
        assertThat(oda.vouchesAt(named.plus(Duration.ofHours(23)))).isFalse();
        assertThat(oda.vouchesAt(named.plus(Duration.ofDays(1)))).isTrue();
    }
}
