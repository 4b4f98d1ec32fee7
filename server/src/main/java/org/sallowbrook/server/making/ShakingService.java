package org.sallowbrook.server.making;

import java.time.Clock;
import java.time.LocalDate;
import java.util.UUID;
import org.sallowbrook.core.making.Follow;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.server.household.PeopleService;
import org.sallowbrook.server.platform.Member;
import org.sallowbrook.server.platform.Problem;
import org.sallowbrook.server.platform.StrikeRequest;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** A batch is shaken while it steeps. */
@Service
@Transactional
public class ShakingService {

    public record ShakeRequest(UUID id, LocalDate on) {}

    private final BatchReader reader;
    private final Shakes shakes;
    private final PeopleService people;
    private final Clock clock;

    ShakingService(BatchReader reader, Shakes shakes, PeopleService people, Clock clock) {
        this.reader = reader;
        this.shakes = shakes;
        this.people = people;
        this.clock = clock;
    }

    public BatchReader.BatchView shake(UUID id, ShakeRequest request) {
        Batch batch = reader.find(id);
        if (batch.status != BatchStatus.STEEPING) {
            throw new Problem.Conflict("It is pressed already; there is nothing to shake.");
        }
        if (!BatchReader.plan(batch).follows().contains(Follow.SHAKE)) {
            throw new Problem.Conflict("It stands still; there is nothing to shake.");
        }
        Checks.begin()
                .that(
                        !request.on().isBefore(batch.startedOn) && !request.on().isAfter(people.today()),
                        "on",
                        "must be from the start until today")
                .done();
        if (!shakes.existsByBatchIdAndOnDay(id, request.on()) && !shakes.existsById(request.id())) {
            shakes.saveAndFlush(
                    new Shake(request.id(), id, request.on(), Member.current().displayName()));
        }
        return reader.view(batch);
    }

    /** It was not shaken after all. */
    public BatchReader.BatchView strikeShake(UUID id, UUID shake, StrikeRequest request) {
        Batch batch = reader.find(id);
        String reason = request.checked();
        Shake found = shakes.findById(shake)
                .filter(s -> s.batchId.equals(id) && !s.struck())
                .orElseThrow(() -> new Problem.NotFound("shaking"));
        found.strike(clock.instant(), reason);
        shakes.saveAndFlush(found);
        return reader.view(batch);
    }
}
