package org.sallowbrook.server.household;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.household.Loosening;
import org.sallowbrook.core.household.SecondObserver;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.InvalidInput;
import org.sallowbrook.server.platform.Member;
import org.sallowbrook.server.platform.Once;
import org.sallowbrook.server.platform.Owned;
import org.sallowbrook.server.platform.Problem;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** A second pair of eyes: another account that signs for itself, or somebody the keeper has named. */
@Service
@Transactional
public class SecondService {

    public record SignRequest(String username, String password) {}

    /** @param id to be sent along with what is signed for; good once, for some minutes */
    public record SignedView(UUID id, String name) {}

    public record ObserverRequest(UUID id, String name, String why) {}

    /** @param vouchesFrom before this a name that was just put down counts for nothing */
    public record ObserverView(UUID id, String name, String why, Instant namedAt, Instant vouchesFrom) {}

    private static final InvalidInput.Violation WRONG =
            new InvalidInput.Violation("password", "does not go with this name here");

    private static final Duration GOOD_FOR = Duration.ofMinutes(10);

    private final SignIn signIn;
    private final Countersignatures signatures;
    private final Observers observers;
    private final Accounts accounts;
    private final PeopleService people;
    private final Once once;
    private final Clock clock;

    SecondService(
            SignIn signIn,
            Countersignatures signatures,
            Observers observers,
            Accounts accounts,
            PeopleService people,
            Once once,
            Clock clock) {
        this.signIn = signIn;
        this.signatures = signatures;
        this.observers = observers;
        this.accounts = accounts;
        this.people = people;
        this.once = once;
        this.clock = clock;
    }

    /** @throws InvalidInput for a wrong name or password, another household's account, or one's own */
    @Transactional(noRollbackFor = Problem.SignInFailed.class)
    public SignedView sign(SignRequest request, String address) {
        Member me = Member.current();
        Member second;
        try {
            second = signIn.check(request.username(), request.password(), address);
        } catch (Problem.SignInFailed e) {
            // The session is in order; it is the second name or password that is not.
            throw new InvalidInput(List.of(WRONG));
        }
        Checks.begin()
                .that(second.householdId().equals(me.householdId()), WRONG.field(), WRONG.message())
                .that(!second.accountId().equals(me.accountId()), "username", "is your own; a second person signs")
                .done();
        Countersignature signed = signatures.save(new Countersignature(
                Owned.newId(), second.accountId(), second.displayName(), me.accountId(), clock.instant()));
        return new SignedView(signed.id, signed.signedName);
    }

    /**
     * Who signed, from another account, and not for something else before.
     *
     * @return null for none
     * @throws Problem.Refused for one that is used, too old, or meant for somebody else
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public @Nullable String signed(@Nullable UUID second, UUID subject) {
        if (second == null) {
            return null;
        }
        Instant now = clock.instant();
        Countersignature signed = signatures
                .findById(second)
                .filter(s -> s.forAccount.equals(Member.current().accountId()))
                .filter(s -> s.usedFor == null)
                .filter(s -> !now.isBefore(s.at) && Duration.between(s.at, now).compareTo(GOOD_FOR) <= 0)
                .orElseThrow(() -> new Problem.Refused(List.of(Finding.stop(
                        "SIGNED_TOO_LONG_AGO",
                        "The second person's word was used already, or is too old.",
                        "Let them sign once more."))));
        signed.usedFor = subject;
        signatures.save(signed);
        return signed.signedName;
    }

    /** A second observer: who signed, or somebody named beforehand. @return null for none */
    @Transactional(propagation = Propagation.MANDATORY)
    public @Nullable String observed(@Nullable UUID second, UUID subject) {
        ObserverEntity named = second == null
                ? null
                : observers.findById(second).filter(o -> o.endedOn == null).orElse(null);
        if (named == null) {
            return signed(second, subject);
        }
        if (!named.toCore().vouchesAt(clock.instant())) {
            throw new Problem.Refused(List.of(Finding.stop(
                    "NAMED_JUST_NOW",
                    named.name + " was named as a second observer less than a day ago.",
                    "Look again together tomorrow, or let somebody with an account sign.")));
        }
        return named.name;
    }

    @Transactional(readOnly = true)
    public List<ObserverView> observers() {
        return observers.findAllByEndedOnIsNullOrderByName().stream()
                .map(SecondService::view)
                .toList();
    }

    /** For the keeper, who says why these eyes are trusted. */
    public List<ObserverView> name(ObserverRequest request) {
        if (once.repeated("second observer", request.id(), observers::existsById, request)) {
            return observers();
        }
        String name = request.name().strip();
        boolean account = accounts
                .findAllByHouseholdIdOrderByDisplayName(Member.current().householdId())
                .stream()
                .anyMatch(a -> a.displayName.equalsIgnoreCase(name) || a.username.equalsIgnoreCase(name));
        Checks.begin()
                .that(name.length() >= 2 && name.length() <= 120, "name", "must have 2 to 120 letters")
                .that(!account, "name", "is an account of this household; they sign for themselves")
                .that(
                        Loosening.saysWhy(request.why()) && request.why().length() <= 300,
                        "why",
                        "must say in a few words how they know plants")
                .done();
        ObserverEntity observer = new ObserverEntity(request.id());
        observer.name = name;
        observer.why = request.why().strip();
        observer.namedAt = clock.instant();
        observer.namedBy = Member.current().displayName();
        observers.saveAndFlush(observer);
        return observers();
    }

    public List<ObserverView> end(UUID id) {
        ObserverEntity observer = observers.findById(id).orElseThrow(() -> new Problem.NotFound("second observer"));
        observer.endedOn = people.today();
        observers.saveAndFlush(observer);
        return observers();
    }

    private static ObserverView view(ObserverEntity o) {
        return new ObserverView(o.id, o.name, o.why, o.namedAt, o.namedAt.plus(SecondObserver.BEFOREHAND));
    }
}
