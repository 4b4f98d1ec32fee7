package org.sallowbrook.server.platform;

import java.time.Clock;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Severity;
import org.springframework.stereotype.Component;

/** Lets a change through only when nothing stops it and every warning was acknowledged with a reason; keeps who did. */
@Component
public class Gatekeeper {

    /** @param reason in the member's own words */
    public record Acknowledgement(String code, String reason) {}

    private final AuditLog log;
    private final Clock clock;

    Gatekeeper(AuditLog log, Clock clock) {
        this.log = log;
        this.clock = clock;
    }

    /**
     * @throws Problem.Refused with all findings, when one is a STOP, or a WARN without acknowledgement
     */
    public void pass(String what, UUID subject, List<Finding> findings, @Nullable List<Acknowledgement> acknowledged) {
        List<Acknowledgement> given = acknowledged == null ? List.of() : acknowledged;
        Set<String> codes = given.stream()
                .filter(a -> !a.reason().isBlank())
                .map(Acknowledgement::code)
                .collect(Collectors.toSet());
        boolean refused = findings.stream()
                .anyMatch(f ->
                        f.severity() == Severity.STOP || f.severity() == Severity.WARN && !codes.contains(f.code()));
        if (refused) {
            throw new Problem.Refused(findings);
        }
        for (Acknowledgement a : given) {
            if (findings.stream().anyMatch(f -> f.code().equals(a.code()))) {
                record(what, subject, a.code(), a.reason());
            }
        }
    }

    /** Keeps that the member decided something that a rule leaves to people, and why. */
    public void record(String what, UUID subject, String code, String reason) {
        log.save(new AuditEntry(
                Owned.newId(), clock.instant(), Member.current().displayName(), what, subject, code, reason));
    }
}
