package org.sallowbrook.server.household;

import java.io.File;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.LongSupplier;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.measure.Finding;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/** Looks after the machine that nobody looks at: what will hurt is said to the keeper before it does. */
@Component
class Watch {

    /**
     * @param words how it does, in one sentence
     * @param findings what is to be done; empty while all is well
     */
    record WatchView(String words, List<Finding> findings) {}

    private static final long MB = 1024 * 1024;

    /** Below it a night's copy and a day's records may not fit any more. */
    private static final long LEAST_MB = 1024;

    /** A clock that is set right moves by seconds. */
    private static final Duration JUMP_BACK = Duration.ofMinutes(10);

    /** On it goes while a machine sleeps, too: a holiday is no jump. */
    private static final Duration JUMP_ON = Duration.ofDays(30);

    private static final Duration WITHOUT_COPY = Duration.ofHours(49);

    /** So long a stick may lie in another house. */
    private static final Duration OUT_AT_MOST = Duration.ofDays(35);

    /** How long a jump is spoken of. */
    private static final Duration TOLD = Duration.ofDays(3);

    private final Copies copies;
    private final LongSupplier freeBytes;
    private final LongSupplier nanos;
    private final Clock clock;
    private final Instant since;

    /** Wall clock less the time that has gone by, as first seen; a jump changes it. */
    private Instant origin;

    private @Nullable Instant jumpedAt;
    private Duration jumped = Duration.ZERO;

    @Autowired
    Watch(Copies copies, @Value("${sallowbrook.copies:}") String folder) {
        this(
                copies,
                () -> new File(folder.isEmpty() ? "." : folder).getUsableSpace(),
                System::nanoTime,
                Clock.systemUTC());
    }

    Watch(Copies copies, LongSupplier freeBytes, LongSupplier nanos, Clock clock) {
        this.copies = copies;
        this.freeBytes = freeBytes;
        this.nanos = nanos;
        this.clock = clock;
        since = clock.instant();
        origin = since.minusNanos(nanos.getAsLong());
    }

    /** The time that went by, and the time of day, part only when somebody sets the clock. */
    @Scheduled(fixedDelay = 60_000)
    synchronized void lookAtTheClock() {
        Instant now = clock.instant();
        Instant from = now.minusNanos(nanos.getAsLong());
        Duration moved = Duration.between(origin, from);
        if (moved.compareTo(JUMP_ON) > 0 || moved.negated().compareTo(JUMP_BACK) > 0) {
            jumpedAt = now;
            jumped = moved;
        }
        origin = from;
    }

    synchronized WatchView view() {
        Instant now = clock.instant();
        List<Finding> findings = new ArrayList<>();
        // A folder that is not there yet has no space either, and is no full disk.
        long free = freeBytes.getAsLong();
        if (free > 0 && free < LEAST_MB * MB) {
            findings.add(Finding.warn(
                    "DISK_FILLS",
                    "Only " + free / MB + " MB are left on the disk of the records.",
                    "Carry old copies and pictures elsewhere, or give it a larger disk: when it is full, nothing can be"
                            + " written down any more."));
        }
        copy(now).ifPresent(findings::add);
        findings.addAll(elsewhere(now));
        if (jumpedAt != null && Duration.between(jumpedAt, now).abs().compareTo(TOLD) < 0) {
            findings.add(Finding.warn(
                    "CLOCK_JUMPED",
                    "The clock of this machine jumped " + words(jumped.abs()) + (jumped.isNegative() ? " back" : " on")
                            + ".",
                    "Look whether it is right now: doses, shakes and best before days go by it."));
        }
        return new WatchView(
                (findings.isEmpty()
                                ? "It does well: "
                                        + (free > 0
                                                ? free / MB / 1024 + " GB are free on its disk, it has run for "
                                                : "it has run for ")
                                : findings.size() == 1
                                        ? "One thing wants looking after; it has run for "
                                        : findings.size() + " things want looking after; it has run for ")
                        + words(Duration.between(since, now))
                        + inMemory()
                                .map(m -> " and takes " + m + " MB of memory.")
                                .orElse("."),
                findings);
    }

    /** What this process has of the machine's memory, in MB; the database's is its own. */
    private static Optional<Long> inMemory() {
        try (Stream<String> lines = Files.lines(Path.of("/proc/self/status"))) {
            return lines.filter(l -> l.startsWith("VmRSS:"))
                    .findFirst()
                    .map(l -> Long.parseLong(l.replaceAll("\\D", "")) / 1024);
        } catch (IOException | UncheckedIOException e) {
            return Optional.empty();
        }
    }

    private Optional<Finding> copy(Instant now) {
        Copies.BackupView view = copies.view();
        Instant newest = view.newest();
        if (view.folder().isEmpty() || !view.old() && newest != null) {
            return Optional.empty();
        }
        if (newest == null) {
            return Duration.between(since, now).compareTo(WITHOUT_COPY) < 0
                    ? Optional.empty()
                    : Optional.of(Finding.warn(
                            "NO_COPY",
                            "No copy of the records has been made since it was started.",
                            "Make one with ./sallowbrook backup FILE, and look why none is made at night."));
        }
        return Optional.of(Finding.warn(
                "COPY_OLD",
                "The newest copy of the records is " + words(Duration.between(newest, now)) + " old.",
                "Look why none is made at night; make one now with ./sallowbrook backup FILE."));
    }

    /** A stick may be out of the house for a while; for good it must not be. */
    private List<Finding> elsewhere(Instant now) {
        Copies.BackupView view = copies.view();
        List<Finding> found = new ArrayList<>();
        if (view.triedNot() != null) {
            found.add(Finding.warn(
                    "COPY_NOT_READ",
                    "The newest copy of the records could not be read back: " + view.triedNot(),
                    "Make another with ./sallowbrook backup FILE and keep the older copies until one is read back."));
        }
        if (view.elsewhere().isEmpty()) {
            return found;
        }
        Instant last = view.elsewhereAt();
        if (Duration.between(last == null ? since : last, now).compareTo(last == null ? WITHOUT_COPY : OUT_AT_MOST)
                > 0) {
            found.add(
                    Finding.warn(
                            "ELSEWHERE_OLD",
                            last == null
                                    ? "No copy lies in the second place yet, " + view.elsewhere() + "."
                                    : "The newest copy in the second place, " + view.elsewhere() + ", is "
                                            + words(Duration.between(last, now)) + " old.",
                            "Put the stick in, or reach the share; the folder must be there. The next copy is written by itself."));
        }
        return found;
    }

    private static String words(Duration time) {
        long days = time.toDays();
        long hours = time.toHours();
        return days >= 2
                ? days + " days"
                : hours >= 1 ? hours + (hours == 1 ? " hour" : " hours") : time.toMinutes() + " minutes";
    }
}
