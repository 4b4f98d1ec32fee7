package org.sallowbrook.server.measure;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.measure.CoreVersion;
import org.sallowbrook.core.measure.Finding;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

@RestController
class AmountCalculator {

    record AmountTextRequest(
            String text,
            TypedAmount.Quantity quantity,
            @Nullable Kitchen kitchen) {}

    record AmountTextAnswer(
            Boolean feasible, String coreVersion, Double value, String unit, String read, List<Finding> findings) {}

    /** Reads what somebody typed; the kitchen is metric unless said. */
    @PostMapping("/api/calculators/amount")
    AmountTextAnswer amount(@RequestBody AmountTextRequest r) {
        Kitchen kitchen = r.kitchen() == null ? Kitchen.METRIC : r.kitchen();
        TypedAmount read = TypedAmount.parse(r.text(), r.quantity(), kitchen);
        return new AmountTextAnswer(
                true, CoreVersion.CURRENT, read.value(), read.quantity().unit(), read.read(), List.of());
    }
}
