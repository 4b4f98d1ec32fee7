package org.sallowbrook.server.calendar;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import io.github.bucket4j.Bucket;
import io.github.bucket4j.ConsumptionProbe;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Base64;
import java.util.EnumSet;
import java.util.HexFormat;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.TimeUnit;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.server.field.SeasonService;
import org.sallowbrook.server.household.HouseholdService;
import org.sallowbrook.server.household.PeopleService;
import org.sallowbrook.server.platform.Due;
import org.sallowbrook.server.platform.DueSource;
import org.sallowbrook.server.platform.Kept;
import org.sallowbrook.server.platform.Member;
import org.sallowbrook.server.platform.Once;
import org.sallowbrook.server.platform.Problem;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.security.crypto.keygen.Base64StringKeyGenerator;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What is due, for calendar programs: as a file, and at secret addresses that can be ended. */
@Service
@Transactional
public class CalendarService {

    /** @param of what of it; inFull: whether plants, people and places stand in the titles */
    public record FeedRequest(UUID id, Set<Chosen.Of> of, Boolean inFull, Chosen.Alarm alarm) {}

    /** @param secret of the address; only in the answer to whoever made it, null ever after */
    public record FeedView(
            UUID id,
            Set<Chosen.Of> of,
            Boolean inFull,
            Chosen.Alarm alarm,
            String madeBy,
            Instant madeAt,
            @Nullable Instant lastReadAt,
            @Nullable String secret) {}

    /** An address that stands, and who made it. */
    record Found(UUID id, UUID accountId) {}

    /** @param toNote whether nobody has noted for a while that it is read: each note makes all that is kept old */
    record Read(String text, boolean toNote) {}

    private static final Duration NOTED_EVERY = Duration.ofHours(1);
    private static final int MOST = 20;
    private static final int AHEAD_DAYS = 366;

    /** What comes every day fills a calendar: a month of it is told. */
    private static final int DAILY_AHEAD_DAYS = 31;

    private static final Set<Due.Kind> DAILY = EnumSet.of(Due.Kind.SHAKE, Due.Kind.DOSE, Due.Kind.DIARY);

    private static final int A_MINUTE = 12;

    private static final Base64StringKeyGenerator SECRETS =
            new Base64StringKeyGenerator(Base64.getUrlEncoder().withoutPadding(), 32);

    private final CalendarFeeds feeds;
    private final TodayService today;
    private final SeasonService seasons;
    private final PeopleService people;
    private final HouseholdService households;
    private final Once once;
    private final Kept kept;
    private final JdbcClient jdbc;
    private final Clock clock;
    private final Cache<UUID, Bucket> asked = Caffeine.newBuilder()
            .expireAfterAccess(Duration.ofMinutes(10))
            .maximumSize(10_000)
            .build();

    CalendarService(
            CalendarFeeds feeds,
            TodayService today,
            SeasonService seasons,
            PeopleService people,
            HouseholdService households,
            Once once,
            Kept kept,
            JdbcClient jdbc,
            Clock clock) {
        this.feeds = feeds;
        this.today = today;
        this.seasons = seasons;
        this.people = people;
        this.households = households;
        this.once = once;
        this.kept = kept;
        this.jdbc = jdbc;
        this.clock = clock;
    }

    @Transactional(readOnly = true)
    public List<FeedView> feeds() {
        return feeds.findAllByEndedAtIsNullOrderByMadeAtDescIdDesc().stream()
                .map(f -> view(f, null))
                .toList();
    }

    /** Its secret is told in this answer and never again: whoever asks twice has lost it, and makes another. */
    public FeedView make(FeedRequest request) {
        if (once.repeated("calendar feed", request.id(), feeds::existsById, request)) {
            return view(standing(request.id()), null);
        }
        Checks.begin()
                .that(
                        feeds.findAllByEndedAtIsNullOrderByMadeAtDescIdDesc().size() < MOST,
                        "of",
                        "are too many addresses; end one of them first")
                .done();
        String secret = SECRETS.generateKey();
        CalendarFeed feed = new CalendarFeed(request.id(), new Chosen(request.of(), request.inFull(), request.alarm()));
        feed.accountId = Member.current().accountId();
        feed.madeBy = Member.current().displayName();
        feed.madeAt = clock.instant();
        feed.secretDigest = digest(secret);
        return view(feeds.saveAndFlush(feed), secret);
    }

    public void end(UUID id) {
        CalendarFeed feed = standing(id);
        feed.endedAt = clock.instant();
        feeds.saveAndFlush(feed);
    }

    private CalendarFeed standing(UUID id) {
        return feeds.findById(id)
                .filter(f -> f.endedAt == null)
                .orElseThrow(() -> new Problem.NotFound("calendar address"));
    }

    /**
     * Whose address it is: nobody is signed in who could be asked.
     *
     * @throws Problem.NotFound where there is none, it was ended, or whoever made it is gone
     * @throws Problem.Throttled where it is asked for more often than any calendar does
     */
    @Transactional(readOnly = true)
    public Member reader(String secret) {
        Found found = jdbc.sql("select id, account_id from calendar_feed where secret_digest = ? and ended_at is null")
                .param(digest(secret))
                .query(Found.class)
                .optional()
                .orElseThrow(() -> new Problem.NotFound("calendar address"));
        ConsumptionProbe probe = asked.get(
                        found.id(),
                        k -> Bucket.builder()
                                .addLimit(l -> l.capacity(A_MINUTE).refillGreedy(A_MINUTE, Duration.ofMinutes(1)))
                                .build())
                .tryConsumeAndReturnRemaining(1);
        if (!probe.isConsumed()) {
            throw new Problem.Throttled(TimeUnit.NANOSECONDS.toSeconds(probe.getNanosToWaitForRefill()) + 1);
        }
        return households.reader(found.accountId()).orElseThrow(() -> new Problem.NotFound("calendar address"));
    }

    /** @param home address at which it was asked for */
    @Transactional(readOnly = true)
    public Read read(String secret, String home) {
        CalendarFeed feed = feeds.findBySecretDigestAndEndedAtIsNull(digest(secret))
                .orElseThrow(() -> new Problem.NotFound("calendar address"));
        Instant last = feed.lastReadAt;
        return new Read(
                written(feed.chosen(), home),
                last == null || last.isBefore(clock.instant().minus(NOTED_EVERY)));
    }

    public void noteRead(String secret) {
        jdbc.sql("update calendar_feed set last_read_at = ? where secret_digest = ?")
                .params(java.sql.Timestamp.from(clock.instant()), digest(secret))
                .update();
    }

    @Transactional(readOnly = true)
    public String written(Chosen chosen, String home) {
        return kept.answer("calendar " + chosen + " " + home, clock.instant(), () -> {
            LocalDate day = people.today();
            DueSource.Span span = new DueSource.Span(
                    day.minusDays(TodayService.STILL_TOLD_DAYS),
                    day.plusDays(AHEAD_DAYS),
                    day,
                    clock.instant(),
                    people.zone());
            List<Due> due = today.between(span).stream()
                    .filter(d -> !DAILY.contains(d.kind()) || !d.due().isAfter(day.plusDays(DAILY_AHEAD_DAYS)))
                    .toList();
            return new Ical(households.settings().name(), chosen, span, home)
                    .due(due)
                    .ready(seasons.season().parts())
                    .toString();
        });
    }

    private static FeedView view(CalendarFeed f, @Nullable String secret) {
        Chosen chosen = f.chosen();
        return new FeedView(
                f.id, chosen.of(), chosen.inFull(), chosen.alarm(), f.madeBy, f.madeAt, f.lastReadAt, secret);
    }

    private static String digest(String secret) {
        try {
            return HexFormat.of()
                    .formatHex(MessageDigest.getInstance("SHA-256").digest(secret.getBytes(StandardCharsets.UTF_8)));
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    }
}
