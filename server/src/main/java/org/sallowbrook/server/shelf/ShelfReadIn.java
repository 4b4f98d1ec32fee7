package org.sallowbrook.server.shelf;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.sallowbrook.server.platform.ReadIn;
import org.springframework.stereotype.Component;

/** There is as much left of each lot as its own lines can have left: nobody here writes it otherwise. */
@Component
class ShelfReadIn implements ReadIn {

    /** Of all that ever came in; sums of many doubles differ by less. */
    private static final double NEARLY = 1e-6;

    private final Lots lots;
    private final LotChanges changes;

    ShelfReadIn(Lots lots, LotChanges changes) {
        this.lots = lots;
        this.changes = changes;
    }

    @Override
    public List<String> wrong(Came came) {
        Map<UUID, List<LotChange>> lines = changes.findAllById(came.of("lot_change")).stream()
                .filter(c -> !c.struck())
                .collect(Collectors.groupingBy(c -> c.lotId));
        List<String> wrong = new ArrayList<>();
        for (Lot lot : lots.findAllById(came.of("lot"))) {
            double in = 0;
            double sum = 0;
            for (LotChange line : lines.getOrDefault(lot.id, List.of())) {
                sum += line.delta;
                in += Math.max(0, line.delta);
            }
            double nearly = NEARLY * (1 + in);
            // Less than nothing is never left, so that it may be more than the sum, and never more than came in.
            if (lot.remaining < sum - nearly || lot.remaining > in + nearly) {
                wrong.add("there can not be as much left of " + lot.code + " as it says");
            }
        }
        return wrong;
    }
}
