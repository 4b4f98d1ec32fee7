package org.sallowbrook.server.field;

import java.time.LocalDate;
import java.util.List;
import java.util.Set;
import org.sallowbrook.core.field.IdentityOnRecord;
import org.sallowbrook.core.field.LookAgain;
import org.sallowbrook.core.identification.Identification;
import org.sallowbrook.server.platform.Due;
import org.sallowbrook.server.platform.DueSource;
import org.sallowbrook.server.platform.Reading;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Which stands want another look: at the stage that settles what they are, or by a second pair of eyes. */
@Component
class LookAgainDue implements DueSource {

    private final StandService stands;
    private final Reading reading;

    LookAgainDue(StandService stands, Reading reading) {
        this.reading = reading;
        this.stands = stands;
    }

    @Override
    @Transactional(readOnly = true)
    public List<Due> due(Span span) {
        return all().stream().flatMap(s -> of(s, span).stream()).toList();
    }

    @Override
    public void ahead() {
        all();
    }

    private List<StandService.StandView> all() {
        return reading.once("stands", stands::stands);
    }

    private static List<Due> of(StandService.StandView stand, Span span) {
        LookService.IdentificationView look = stand.identification();
        if (look == null || stand.doubted()) {
            return List.of();
        }
        StandService.SettlesView settles = stand.settles();
        boolean halfway = look.status() == Identification.Status.CONFIRMED
                || look.status() == Identification.Status.SECOND_WANTED;
        if (halfway && stand.secondLook() == IdentityOnRecord.SecondLook.WANTED) {
            return due(stand, span, look.on().plusDays(1), "a second look, by somebody else or at other plants");
        }
        if (settles == null || settles.months().isEmpty()) {
            return List.of();
        }
        LocalDate day = LookAgain.due(look.on(), Set.copyOf(settles.months()), span.today());
        return due(stand, span, day, "it can be told " + settles.stage().words());
    }

    private static List<Due> due(StandService.StandView stand, Span span, LocalDate day, String why) {
        return !span.holds(day)
                ? List.of()
                : List.of(new Due(
                        Due.Kind.LOOK_AGAIN,
                        "field",
                        stand.id(),
                        "Look again: " + stand.name(),
                        stand.place() + "; " + why,
                        day,
                        span.morning(day),
                        false,
                        stand.version(),
                        null,
                        null,
                        null));
    }
}
