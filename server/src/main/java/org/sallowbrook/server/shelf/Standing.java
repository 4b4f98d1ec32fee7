package org.sallowbrook.server.shelf;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.server.field.SourceGuard;
import org.sallowbrook.server.household.LooseningService;
import org.sallowbrook.server.platform.Member;
import org.sallowbrook.server.platform.Reading;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/**
 * Whether a lot may be used, judged over its whole descent at the moment it is asked: mould, doubt and contaminated ground
 * anywhere upstream reach it, whatever its own row says.
 */
@Component
class Standing implements SourceGuard {

    private record Ancestor(
            UUID root,
            UUID id,
            String name,
            String code,
            String state,
            @Nullable String stateReason,
            @Nullable String doubt,
            @Nullable Boolean standDoubted,
            @Nullable String standDoubtReason,
            @Nullable String ground,
            boolean neverFilled,
            double remaining) {}

    // Native SQL is not filtered by household, so each step carries it. Laterals with an offset, that each step goes by
    // the
    // index: guessing how many rows a recursion has, the planner else reads all links and lots there are for one
    // descent.
    private static final String DESCENT = """
            with recursive up(root, id) as (
                select l, l from unnest(cast(:lots as uuid[])) l
                union
                select up.root, l.from_lot from up cross join lateral (
                    select from_lot from lot_link where to_lot = up.id and household_id = :household offset 0) l
            )
            select up.root, o.id, o.name, o.code, o.state, o.state_reason, o.doubt, o.never_filled, o.remaining,
                   s.doubted as stand_doubted, s.doubt_reason as stand_doubt_reason, s.ground
            from up cross join lateral (
                select * from lot where id = up.id and household_id = :household offset 0) o
            left join stand s on s.id = o.id""";

    private final JdbcClient jdbc;
    private final LooseningService loosening;
    private final Reading reading;

    Standing(JdbcClient jdbc, LooseningService loosening, Reading reading) {
        this.reading = reading;
        this.loosening = loosening;
        this.jdbc = jdbc;
    }

    /** Why a lot must not be used; empty when it may. Its own hold is told as such. */
    List<Finding> of(UUID lot) {
        return findings(lot, ancestors(lot));
    }

    /** What was taken back of what once spoke against it, over its whole descent. */
    List<Finding> takenBack(UUID lot) {
        return reading.of(Reading.Of.LOT, "taken back", lot, this::takenBack, List.of());
    }

    private Map<UUID, List<Finding>> takenBack(Set<UUID> lots) {
        Map<UUID, List<UUID>> descents = lots.stream()
                .collect(Collectors.toMap(
                        l -> l, l -> ancestors(l).stream().map(Ancestor::id).toList()));
        return loosening.told(descents);
    }

    @Override
    public List<Finding> whyNot(UUID harvestId) {
        List<Ancestor> all = ancestors(harvestId);
        List<Finding> findings = findings(harvestId, all);
        if (findings.isEmpty() && all.stream().anyMatch(a -> a.id().equals(harvestId) && a.remaining() <= 0)) {
            findings.add(Finding.stop("NOTHING_LEFT", "Nothing of this harvest is left.", "Choose another."));
        }
        return findings;
    }

    private List<Ancestor> ancestors(UUID lot) {
        return reading.listOf(Reading.Of.LOT, "descent", lot, this::ancestors, Ancestor::root);
    }

    private List<Ancestor> ancestors(Set<UUID> lots) {
        return jdbc.sql(DESCENT)
                .param("lots", lots.toArray(UUID[]::new))
                .param("household", Member.current().householdId())
                .query(Ancestor.class)
                .list();
    }

    private static List<Finding> findings(UUID lot, List<Ancestor> all) {
        List<Finding> findings = new ArrayList<>();
        for (Ancestor a : all) {
            boolean self = a.id().equals(lot);
            String called = a.name() + " (" + a.code() + ")";
            if (self && a.neverFilled()) {
                findings.add(Finding.stop(
                        "NEVER_FILLED",
                        called + " was struck out as never filled; what is in it came from somewhere else.",
                        "Fill another from the jar, or put down where this came from."));
            }
            if (a.state().equals("DESTROYED")) {
                findings.add(
                        self
                                ? Finding.stop("DESTROYED", called + " was thrown away.", "Choose another.")
                                : Finding.stop(
                                        "QUARANTINED",
                                        "It was made from " + called + ", which was destroyed: "
                                                + reason(a.stateReason()),
                                        "Throw it away; nothing takes that poison out."));
            }
            if (a.doubt() != null) {
                findings.add(doubted(called + " is doubted: " + a.doubt()));
            }
            if (Boolean.TRUE.equals(a.standDoubted())) {
                findings.add(doubted(a.name() + " is doubted: " + reason(a.standDoubtReason())));
            }
            if ("CONTAMINATED".equals(a.ground())) {
                findings.add(Finding.stop(
                        "CONTAMINATED",
                        "It comes from " + a.name() + ", whose ground is contaminated.",
                        "Set it aside; plants take up what is in the ground and washing does not help."));
            }
            if (self && findings.isEmpty() && a.state().equals("QUARANTINED")) {
                findings.add(doubted(reason(a.stateReason())));
            }
            if (self && a.state().equals("HOLD")) {
                findings.add(Finding.stop(
                        "ON_HOLD", called + " is on hold: " + reason(a.stateReason()), "Resolve it first."));
            }
        }
        return findings;
    }

    private static Finding doubted(String message) {
        return Finding.stop("QUARANTINED", message, "Set it aside until the doubt is cleared, or throw it away.");
    }

    private static String reason(@Nullable String reason) {
        return reason == null ? "no reason is kept" : reason;
    }
}
