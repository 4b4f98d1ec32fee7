package org.sallowbrook.server.household;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.Test;

/** What hurts is said before it does, and nothing is said while all is well. */
public class WatchTest {

    private static final long GB = 1024L * 1024 * 1024;

    private Path folder;
    private Instant now = Instant.now();
    private long nanos;
    private long free = 40 * GB;
    private Watch watch;

    @BeforeMethod
    public void begin() throws IOException {
        begin("");
    }

    private void begin(String second) throws IOException {
        folder = Files.createTempDirectory("sallowbrook-watch");
        now = Instant.now();
        nanos = 0;
        free = 40 * GB;
        watch = new Watch(new Copies(folder.toString(), second), () -> free, () -> nanos, new Clock() {
            @Override
            public ZoneId getZone() {
                return ZoneOffset.UTC;
            }

            @Override
            public Clock withZone(ZoneId zone) {
                return this;
            }

            @Override
            public Instant instant() {
                return now;
            }
        });
    }

    @AfterMethod
    public void end() throws IOException {
        try (var files = Files.list(folder)) {
            for (Path file : files.toList()) {
                Files.delete(file);
            }
        }
        Files.delete(folder);
    }

    private void goesBy(Duration time) {
        now = now.plus(time);
        nanos += time.toNanos();
    }

    private void copied(Duration ago) throws IOException {
        Path file = folder.resolve("night.backup");
        Files.writeString(file, "x");
        Files.setLastModifiedTime(file, FileTime.from(Instant.now().minus(ago)));
    }

    private void says(String... codes) {
        assertThat(watch.view().findings()).extracting(f -> f.code()).containsExactly(codes);
    }

    @Test
    public void allIsWell() throws IOException {
        copied(Duration.ofHours(20));
        goesBy(Duration.ofDays(5));
        watch.lookAtTheClock();
        says();
        assertThat(watch.view().words())
                .matches("It does well: 40 GB are free on its disk, it has run for \\d+ (minutes|hours?|days)"
                        + " and takes [1-9]\\d+ MB of memory\\.");
    }

    @Test
    public void aDiskThatFillsIsSaidBeforeItIsFull() throws IOException {
        copied(Duration.ofHours(1));
        free = 700 * GB / 1024;
        says("DISK_FILLS");
        assertThat(watch.view().findings().get(0).message()).contains("700 MB");
        assertThat(watch.view().words()).startsWith("One thing wants looking after; it has run for ");
    }

    @Test
    public void aNightWithoutACopyIsSaid() throws IOException {
        says();
        goesBy(Duration.ofHours(50));
        says("NO_COPY");
        copied(Duration.ofDays(5));
        says("COPY_OLD");
    }

    /** Time that goes by is no jump, nor is a night in which the machine slept. */
    @Test
    public void aClockThatIsSetIsToldFromTimeThatGoesBy() throws IOException {
        copied(Duration.ofHours(1));
        for (int i = 0; i < 30; i++) {
            goesBy(Duration.ofMinutes(1));
            watch.lookAtTheClock();
        }
        now = now.plus(Duration.ofHours(9));
        watch.lookAtTheClock();
        says();
        now = now.minus(Duration.ofHours(3));
        watch.lookAtTheClock();
        says("CLOCK_JUMPED");
        assertThat(watch.view().findings().get(0).message()).contains("3 hours back");
        goesBy(Duration.ofDays(1));
        watch.lookAtTheClock();
        says("CLOCK_JUMPED");
        goesBy(Duration.ofDays(3));
        watch.lookAtTheClock();
        copied(Duration.ofHours(1));
        assertThat(watch.view().findings()).noneMatch(f -> f.code().equals("CLOCK_JUMPED"));
    }

    private void marked(String mark, Duration ago, String words) throws IOException {
        Path file = folder.resolve(mark);
        Files.writeString(file, words);
        Files.setLastModifiedTime(file, FileTime.from(Instant.now().minus(ago)));
    }

    @Test
    public void aStickThatIsNeverPutInIsSaid() throws IOException {
        end();
        begin("/media/stick");
        copied(Duration.ofHours(20));
        says();
        goesBy(Duration.ofHours(50));
        copied(Duration.ofHours(-30));
        says("ELSEWHERE_OLD");
        marked("elsewhere", Duration.ofDays(-1), "");
        says();
        marked("elsewhere", Duration.ofDays(40), "");
        says("ELSEWHERE_OLD");
        assertThat(watch.view().findings().get(0).message()).contains("/media/stick", "42 days");
    }

    @Test
    public void aCopyThatCanNotBeReadBackIsSaidWithWhy() throws IOException {
        copied(Duration.ofHours(20));
        marked("tried-not", Duration.ZERO, "");
        says();
        marked("tried-not", Duration.ZERO, "Sallowbrook: this backup is damaged\n");
        says("COPY_NOT_READ");
        assertThat(watch.view().findings().get(0).message()).contains("this backup is damaged");
    }
}
