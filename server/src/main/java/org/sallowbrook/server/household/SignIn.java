package org.sallowbrook.server.household;

import java.time.Clock;
import java.time.DateTimeException;
import java.time.ZoneId;
import java.util.Locale;
import java.util.UUID;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.server.platform.Member;
import org.sallowbrook.server.platform.Owned;
import org.sallowbrook.server.platform.Problem;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Checks who signs in, slowly enough that guessing is useless, and opens the first household. */
@Service
@Transactional
public class SignIn {

    /** @param region whose plants are candidates where the household gathers */
    public record SetupRequest(
            String household, String zone, String region, String name, String username, String password) {}

    private final Accounts accounts;
    private final Households households;
    private final PasswordEncoder passwords;
    private final Clock clock;
    private final Throttle throttle;
    private final Regions regions;
    private final String nobody;

    SignIn(
            Accounts accounts,
            Households households,
            PasswordEncoder passwords,
            Throttle throttle,
            Regions regions,
            Clock clock) {
        this.throttle = throttle;
        this.regions = regions;
        this.accounts = accounts;
        this.households = households;
        this.passwords = passwords;
        this.clock = clock;
        this.nobody = passwords.encode(UUID.randomUUID().toString());
    }

    /**
     * Holds no connection while it reckons: twenty who sign in at once would hold all of them for seconds.
     *
     * @throws Problem.Throttled after too many failures in five minutes
     */
    @Transactional(propagation = Propagation.NOT_SUPPORTED)
    public Member check(String username, String password, String address) {
        String key = username.strip().toLowerCase(Locale.ROOT);
        Throttle.Tries tries = throttle.attempt(key, address);
        Account account = accounts.findByUsername(key).orElse(null);
        // The same work whether or not the name exists, so that time tells nothing.
        boolean right = passwords.matches(password, account == null ? nobody : account.passwordHash);
        if (account == null || !right || account.disabled) {
            throw new Problem.SignInFailed();
        }
        tries.right();
        return new Member(account.id, account.householdId, account.displayName, account.role);
    }

    @Transactional(readOnly = true)
    public boolean empty() {
        return accounts.count() == 0;
    }

    /** Opens the first household with its keeper; only while there is none. */
    public Member open(SetupRequest request) {
        if (!empty()) {
            throw new Problem.Conflict("There is an account already. Sign in.");
        }
        return create(request, Member.Role.KEEPER);
    }

    /** Opens a household. */
    public Member create(SetupRequest request, Member.Role role) {
        Checks.begin()
                .that(
                        !request.household().isBlank() && request.household().length() <= 120,
                        "household",
                        "must have 1 to 120 letters")
                .that(isZone(request.zone()), "zone", "must be a time zone such as Europe/London")
                .that(!request.name().isBlank() && request.name().length() <= 120, "name", "must have 1 to 120 letters")
                .that(
                        request.username().matches("[a-zA-Z0-9._-]{2,60}"),
                        "username",
                        "must have 2 to 60 letters, digits, dots or dashes")
                .done();
        Password.check(Checks.begin(), "password", request.password()).done();
        regions.check("region", request.region());
        UUID household = Owned.newId();
        households.save(new Household(
                household, request.household().strip(), request.zone(), request.region(), clock.instant()));
        return join(household, request.name(), request.username(), request.password(), role);
    }

    /** Adds an account to a household. */
    public Member join(UUID household, String name, String username, String password, Member.Role role) {
        Account account = accounts.save(new Account(
                Owned.newId(),
                household,
                username.toLowerCase(Locale.ROOT),
                name.strip(),
                passwords.encode(password),
                role));
        return new Member(account.id, household, account.displayName, role);
    }

    private static boolean isZone(String zone) {
        try {
            ZoneId.of(zone);
            return true;
        } catch (DateTimeException e) {
            return false;
        }
    }
}
