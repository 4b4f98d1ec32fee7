package org.sallowbrook.server.platform;

import java.time.Clock;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
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
     * What was acknowledged of the same subject before need not be again, as long as it says the same.
     *
     * @throws Problem.Refused with all findings, when one is a STOP, or a WARN without acknowledgement
     */
    public void pass(String what, UUID subject, List<Finding> findings, @Nullable List<Acknowledgement> acknowledged) {
        Map<String, String> given = new HashMap<>();
        for (Acknowledgement a : acknowledged == null ? List.<Acknowledgement>of() : acknowledged) {
            if (!a.reason().isBlank()) {
                given.put(a.code(), a.reason().strip());
            }
        }
        List<Finding> open = open(subject, findings);
        boolean refused = findings.stream().anyMatch(f -> f.severity() == Severity.STOP)
                || open.stream().anyMatch(f -> !given.containsKey(f.code()));
        if (refused) {
            throw new Problem.Refused(findings);
        }
        for (Finding f : open) {
            keep(what, subject, f.code(), given.getOrDefault(f.code(), ""), f.message());
        }
    }

    /** Warnings that nobody has acknowledged yet. */
    public List<Finding> open(UUID subject, List<Finding> findings) {
        List<Finding> warnings =
                findings.stream().filter(f -> f.severity() == Severity.WARN).toList();
        if (warnings.isEmpty()) {
            return warnings;
        }
        Set<String> said = log.findAllBySubjectId(subject).stream()
                .map(e -> e.code + "\n" + e.message)
                .collect(Collectors.toSet());
        return warnings.stream()
                .filter(f -> !said.contains(f.code() + "\n" + f.message()))
                .toList();
    }

    /** Keeps that the member decided something that a rule leaves to people, and why. */
    public void record(String what, UUID subject, String code, String reason) {
        keep(what, subject, code, reason, "");
    }

    private void keep(String what, UUID subject, String code, String reason, String message) {
        log.save(new AuditEntry(
                Owned.newId(), clock.instant(), Member.current().displayName(), what, subject, code, reason, message));
    }
}
