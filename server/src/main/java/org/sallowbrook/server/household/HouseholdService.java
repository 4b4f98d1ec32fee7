package org.sallowbrook.server.household;

import java.security.SecureRandom;
import java.time.Clock;
import java.time.DateTimeException;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.Collection;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.field.season.Place;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.InvalidInput;
import org.sallowbrook.server.platform.Gatekeeper;
import org.sallowbrook.server.platform.Member;
import org.sallowbrook.server.platform.Problem;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.session.Session;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The household's own settings, its members and their sessions. */
@Service
@Transactional
public class HouseholdService {

    public record SettingsView(
            String name,
            String zone,
            String region,
            @Nullable Double latitude,
            @Nullable Double elevationM,
            Boolean standIns,
            String emergencyNumber,
            String poisonCentre,
            List<String> regions) {}

    /**
     * @param latitude degrees north; null where it shall not be known
     * @param elevationM above the sea; null where it is not known
     * @param standIns whether simulated devices are offered; null leaves it as it is
     * @param emergencyNumber as it is dialled there; null leaves it as it is, and so does the poison centre
     */
    record SettingsRequest(
            String name,
            String zone,
            String region,
            @Nullable Double latitude,
            @Nullable Double elevationM,
            @Nullable Boolean standIns,
            @Nullable String emergencyNumber,
            @Nullable String poisonCentre) {}

    /** Empty where nobody said. */
    public record WhomToCall(String emergencyNumber, String poisonCentre) {}

    record MemberView(UUID id, String username, String name, Member.Role role, Boolean disabled, Boolean self) {}

    record MemberRequest(String username, String name, Member.Role role, String password) {}

    record MemberChange(Member.Role role, Boolean disabled) {}

    /** @param code to be printed or read out once; it is kept nowhere */
    record ResetView(String username, String code, Instant until) {}

    record ResetRequest(String username, String code, String password) {}

    record PasswordRequest(String current, String password) {}

    /** @param handle the end of its id, enough to tell it by and no use to a thief */
    /**
     * @param name whose it is
     * @param device in words, with the address it came from; null of a session older than that
     */
    record SessionEntry(
            String handle, String name, @Nullable String device, Instant since, Instant lastUsed, Boolean current) {}

    /** Under which a session keeps what it was begun with. */
    static final String DEVICE = "device";

    private static final Duration RESET_HOLDS = Duration.ofDays(2);
    private static final int HANDLE = 8;
    /** No letters that are taken for others. */
    private static final String CODE_LETTERS = "ABCDEFGHJKMNPQRSTUVWXYZ23456789";

    /** As it is dialled, or none. */
    private static final Pattern NUMBER = Pattern.compile("|\\+?[0-9*#](?:[ ./()-]{0,2}[0-9*#]){1,24}");

    /** The same with words around it, "the island's, 000 1"; nothing that another program would run. */
    private static final Pattern WITH_A_NUMBER =
            Pattern.compile("|(?=.{2,120}$)(?=.*[0-9].*[0-9])[\\p{L}0-9+][\\p{L}\\p{N} .,'’()/+*#-]*");

    private final Accounts accounts;
    private final Households households;
    private final SignIn signIn;
    private final Throttle throttle;
    private final Regions regions;
    private final PasswordEncoder passwords;
    private final FindByIndexNameSessionRepository<? extends Session> sessions;
    private final Gatekeeper gatekeeper;
    private final Clock clock;
    private final SecureRandom random = new SecureRandom();

    HouseholdService(
            Accounts accounts,
            Households households,
            SignIn signIn,
            Throttle throttle,
            Regions regions,
            PasswordEncoder passwords,
            FindByIndexNameSessionRepository<? extends Session> sessions,
            Gatekeeper gatekeeper,
            Clock clock) {
        this.accounts = accounts;
        this.households = households;
        this.signIn = signIn;
        this.throttle = throttle;
        this.regions = regions;
        this.passwords = passwords;
        this.sessions = sessions;
        this.gatekeeper = gatekeeper;
        this.clock = clock;
    }

    @Transactional(readOnly = true)
    public List<String> regions() {
        return regions.known();
    }

    @Transactional(readOnly = true)
    public SettingsView settings() {
        Household h = household();
        return new SettingsView(
                h.name,
                h.zone,
                h.region,
                h.latitude,
                h.elevationM,
                h.standIns,
                h.emergencyNumber,
                h.poisonCentre,
                regions.known());
    }

    public SettingsView change(SettingsRequest request) {
        Checks.begin()
                .that(!request.name().isBlank() && request.name().length() <= 120, "name", "must have 1 to 120 letters")
                .that(
                        request.emergencyNumber() == null
                                || NUMBER.matcher(request.emergencyNumber().strip())
                                        .matches(),
                        "emergencyNumber",
                        "must be a number as it is dialled, such as 112 or +00 12 345")
                .that(
                        request.poisonCentre() == null
                                || WITH_A_NUMBER
                                        .matcher(request.poisonCentre().strip())
                                        .matches(),
                        "poisonCentre",
                        "must hold the number to dial, in at most 120 letters, with its name before or behind it")
                .that(isZone(request.zone()), "zone", "must be a time zone such as Europe/London")
                .done();
        regions.check("region", request.region());
        if (request.latitude() != null) {
            new Place(request.latitude(), request.elevationM() == null ? 0 : request.elevationM());
        }
        Household h = household();
        if (!h.region.equals(request.region())) {
            gatekeeper.record("household", h.id, "REGION", h.region + " -> " + request.region());
        }
        h.name = request.name().strip();
        h.zone = request.zone();
        h.region = request.region();
        h.latitude = request.latitude();
        h.elevationM = request.elevationM();
        if (request.standIns() != null) {
            h.standIns = request.standIns();
        }
        if (request.emergencyNumber() != null) {
            h.emergencyNumber = request.emergencyNumber().strip();
        }
        if (request.poisonCentre() != null) {
            h.poisonCentre = request.poisonCentre().strip();
        }
        households.saveAndFlush(h);
        return settings();
    }

    /**
     * The settings that an archive brings into a household that has none of its own yet. Numbers to call stay where they were
     * entered here.
     */
    public void takesOver(
            String name,
            String zone,
            String region,
            @Nullable Double latitude,
            @Nullable Double elevationM,
            WhomToCall numbers) {
        Household h = household();
        change(new SettingsRequest(
                name,
                zone,
                region,
                latitude,
                elevationM,
                null,
                h.emergencyNumber.isEmpty() ? numbers.emergencyNumber() : null,
                h.poisonCentre.isEmpty() ? numbers.poisonCentre() : null));
    }

    /** What every page knows of the household it is shown to. */
    record About(String name, String region, String zone, boolean standIns, WhomToCall whomToCall) {}

    @Transactional(readOnly = true)
    About about() {
        Household h = household();
        return new About(h.name, h.region, h.zone, h.standIns, new WhomToCall(h.emergencyNumber, h.poisonCentre));
    }

    /** For the page that is opened when something goes wrong. */
    @Transactional(readOnly = true)
    public WhomToCall whomToCall() {
        Household h = household();
        return new WhomToCall(h.emergencyNumber, h.poisonCentre);
    }

    /** Where the household lives. */
    public void calls(WhomToCall numbers) {
        Household h = household();
        h.emergencyNumber = numbers.emergencyNumber();
        h.poisonCentre = numbers.poisonCentre();
        households.saveAndFlush(h);
    }

    public void livesAt(Place place) {
        Household h = household();
        h.latitude = place.latitude();
        h.elevationM = place.elevationM();
        households.saveAndFlush(h);
    }

    private static boolean isZone(String zone) {
        try {
            ZoneId.of(zone);
            return true;
        } catch (DateTimeException e) {
            return false;
        }
    }

    @Transactional(readOnly = true)
    public List<MemberView> members() {
        return accounts.findAllByHouseholdIdOrderByDisplayName(Member.current().householdId()).stream()
                .map(HouseholdService::view)
                .toList();
    }

    /** An account as one that only looks, for what was handed out in its name; empty where it is gone. */
    @Transactional(readOnly = true)
    public Optional<Member> reader(UUID account) {
        return accounts.findById(account)
                .filter(a -> !a.disabled)
                .map(a -> new Member(a.id, a.householdId, a.displayName, Member.Role.READER));
    }

    public MemberView add(MemberRequest request) {
        Checks checks = Checks.begin()
                .that(
                        request.username().matches("[a-zA-Z0-9._-]{2,60}"),
                        "username",
                        "must have 2 to 60 letters, digits, dots or dashes")
                .that(
                        !request.name().isBlank() && request.name().length() <= 120,
                        "name",
                        "must have 1 to 120 letters");
        Password.check(checks, "password", request.password()).done();
        String username = request.username().toLowerCase(Locale.ROOT);
        if (accounts.findByUsername(username).isPresent()) {
            throw new Problem.Conflict("The name " + username + " is taken. Choose another.");
        }
        Member added = signIn.join(
                Member.current().householdId(), request.name(), username, request.password(), request.role());
        gatekeeper.record(
                "member", added.accountId(), "MEMBER_ADDED", request.role().name());
        return view(account(added.accountId()));
    }

    /** Another role, or no entry any more. Whoever was signed in with it must sign in again. */
    public MemberView change(UUID id, MemberChange request) {
        Account account = account(id);
        boolean keeper = account.role == Member.Role.KEEPER && !account.disabled;
        boolean stays = request.role() == Member.Role.KEEPER && !request.disabled();
        if (keeper
                && !stays
                && accounts.countByHouseholdIdAndRoleAndDisabledFalse(account.householdId, Member.Role.KEEPER) < 2) {
            throw new Problem.Conflict("A household needs a keeper. Make somebody else one first.");
        }
        gatekeeper.record("member", id, "MEMBER_CHANGED", request.role() + (request.disabled() ? ", disabled" : ""));
        account.role = request.role();
        account.disabled = request.disabled();
        accounts.saveAndFlush(account);
        endSessions(id, null);
        return view(account);
    }

    /** A code with which somebody who forgot a password sets a new one. */
    public ResetView reset(UUID id) {
        Account account = account(id);
        StringBuilder code = new StringBuilder();
        for (int i = 0; i < 12; i++) {
            code.append(i > 0 && i % 4 == 0 ? "-" : "")
                    .append(CODE_LETTERS.charAt(random.nextInt(CODE_LETTERS.length())));
        }
        account.resetHash = passwords.encode(plain(code.toString()));
        account.resetUntil = clock.instant().plus(RESET_HOLDS);
        accounts.saveAndFlush(account);
        gatekeeper.record("member", id, "RESET_CODE", "given out");
        return new ResetView(account.username, code.toString(), account.resetUntil);
    }

    /** By whoever was given the code; it serves once. */
    public void resetPassword(ResetRequest request, String address) {
        Password.check(Checks.begin(), "password", request.password()).done();
        String name = request.username().strip().toLowerCase(Locale.ROOT);
        Throttle.Tries tries = throttle.attempt("reset " + name, address);
        Account account = accounts.findByUsername(name).orElse(null);
        boolean right = account != null
                && !account.disabled
                && account.resetHash != null
                && account.resetUntil != null
                && clock.instant().isBefore(account.resetUntil)
                && passwords.matches(plain(request.code()), account.resetHash);
        if (account == null || !right) {
            throw new Problem.SignInFailed("Name or code is wrong, or the code was used already or is too old."
                    + " The keeper of your household can give you another.");
        }
        tries.right();
        account.passwordHash = passwords.encode(request.password());
        account.resetHash = null;
        account.resetUntil = null;
        accounts.saveAndFlush(account);
        endSessions(account.id, null);
    }

    private static String plain(String code) {
        return code.toUpperCase(Locale.ROOT).replaceAll("[^A-Z0-9]", "");
    }

    /** Of whoever is signed in; every other session of theirs ends. */
    public void changePassword(PasswordRequest request, String sessionId, String address) {
        Password.check(Checks.begin(), "password", request.password()).done();
        Account account = account(Member.current().accountId());
        isMine(account, "current", request.current(), address);
        account.passwordHash = passwords.encode(request.password());
        accounts.saveAndFlush(account);
        endSessions(account.id, sessionId);
    }

    /** Whoever is signed in says their password once more. @throws InvalidInput at the field where it is another */
    public void isMine(String field, String password, String address) {
        isMine(account(Member.current().accountId()), field, password, address);
    }

    private void isMine(Account account, String field, String password, String address) {
        Throttle.Tries tries = throttle.attempt("change " + account.username, address);
        if (!passwords.matches(password, account.passwordHash)) {
            throw new InvalidInput(List.of(new InvalidInput.Violation(field, "is not your password")));
        }
        tries.right();
    }

    /** Ends every session of every member. */
    public void endAllSessions() {
        accounts.findAllByHouseholdIdOrderByDisplayName(Member.current().householdId())
                .forEach(a -> endSessions(a.id, null));
    }

    @Transactional(readOnly = true)
    public List<SessionEntry> sessions(String current) {
        return entries(
                mine(Member.current().accountId()).values(), Member.current().displayName(), current);
    }

    /** Of everybody in the household, for the keeper. */
    public List<SessionEntry> sessionsOfAll(String current) {
        return everybody()
                .flatMap(a -> entries(mine(a.id).values(), a.displayName, current).stream())
                .toList();
    }

    private static List<SessionEntry> entries(Collection<? extends Session> all, String name, String current) {
        return all.stream()
                .map(s -> new SessionEntry(
                        handle(s.getId()),
                        name,
                        s.getAttribute(DEVICE),
                        s.getCreationTime(),
                        s.getLastAccessedTime(),
                        s.getId().equals(current)))
                .sorted((a, b) -> b.lastUsed().compareTo(a.lastUsed()))
                .toList();
    }

    public void endSession(String handle) {
        end(mine(Member.current().accountId()).keySet().stream(), handle);
    }

    /** A phone that was lost: whoever found it is nobody here. */
    public void endSessionOfAnybody(String handle) {
        end(everybody().flatMap(a -> mine(a.id).keySet().stream()), handle);
    }

    private Stream<Account> everybody() {
        return accounts.findAllByHouseholdIdOrderByDisplayName(Member.current().householdId()).stream();
    }

    private void end(Stream<String> ids, String handle) {
        ids.filter(id -> handle(id).equals(handle)).findFirst().ifPresentOrElse(sessions::deleteById, () -> {
            throw new Problem.NotFound("session");
        });
    }

    private void endSessions(UUID account, @Nullable String butThis) {
        mine(account).keySet().stream().filter(id -> !id.equals(butThis)).forEach(sessions::deleteById);
    }

    private Map<String, ? extends Session> mine(UUID account) {
        return sessions.findByPrincipalName(account.toString());
    }

    private static String handle(String sessionId) {
        return sessionId.substring(Math.max(0, sessionId.length() - HANDLE));
    }

    private Household household() {
        return households.findById(Member.current().householdId()).orElseThrow(() -> new Problem.NotFound("household"));
    }

    private Account account(UUID id) {
        return accounts.findByIdAndHouseholdId(id, Member.current().householdId())
                .orElseThrow(() -> new Problem.NotFound("member"));
    }

    private static MemberView view(Account a) {
        return new MemberView(
                a.id,
                a.username,
                a.displayName,
                a.role,
                a.disabled,
                a.id.equals(Member.current().accountId()));
    }
}
