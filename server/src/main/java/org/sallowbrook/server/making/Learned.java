package org.sallowbrook.server.making;

import java.util.List;
import org.sallowbrook.core.making.salve.ColdSpoon;
import org.sallowbrook.core.making.salve.Wax;
import org.sallowbrook.core.making.tincture.Retention;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Component;

/** What this household's own pressings and cold spoons have shown. */
@Component
class Learned {

    private static final int FROM = 40;

    private final Batches batches;
    private final ColdSpoons spoons;

    Learned(Batches batches, ColdSpoons spoons) {
        this.batches = batches;
        this.spoons = spoons;
    }

    /** What the pressed marc keeps, as the latest pressings have it. */
    Retention retention() {
        return Retention.PRESSED.learnKept(batches.marcKept(Limit.of(FROM)));
    }

    List<ColdSpoon.Trial> spoons(Wax wax) {
        return spoons.findTop40ByWaxOrderByNotedOnDesc(wax.name()).stream()
                .map(t -> new ColdSpoon.Trial(t.abovePlan, t.verdict))
                .toList();
    }
}
