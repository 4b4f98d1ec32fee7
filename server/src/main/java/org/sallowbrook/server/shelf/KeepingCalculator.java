package org.sallowbrook.server.shelf;

import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.PositiveOrZero;
import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.measure.CoreVersion;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.shelf.Keeping;
import org.sallowbrook.server.household.SchoolService;
import org.sallowbrook.server.platform.Answer;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

@RestController
class KeepingCalculator {

    private final SchoolService schools;

    KeepingCalculator(SchoolService schools) {
        this.schools = schools;
    }

    record StorageInput(
            Keeping.Light light,
            Double temperatureC,
            @PositiveOrZero @DecimalMax("1") Double headspaceFraction) {}

    record KeepingInput(String name, LocalDate bestBefore) {}

    record KeepingRequest(
            Keeping.Form form,
            @Nullable String part,
            LocalDate madeOn,
            @Nullable LocalDate openedOn,
            @Valid @Nullable StorageInput storage,
            @Nullable List<KeepingInput> inputs,
            @PositiveOrZero @Nullable Integer planDays) {}

    record KeepingAnswer(
            Boolean feasible, String coreVersion, LocalDate bestBefore, List<String> because, List<Finding> findings) {}

    @PostMapping("/api/calculators/keeping")
    KeepingAnswer keeping(@RequestBody KeepingRequest request) {
        StorageInput s = request.storage();
        List<KeepingInput> inputs = request.inputs() == null ? List.of() : request.inputs();
        Keeping.Result r = Keeping.reckon(new Keeping.Request(
                request.form(),
                request.madeOn(),
                request.openedOn(),
                s == null ? null : new Keeping.Storage(s.light(), s.temperatureC(), s.headspaceFraction()),
                inputs.stream()
                        .map(i -> new Keeping.Input(i.name(), i.bestBefore()))
                        .toList(),
                request.planDays(),
                schools.chosen()));
        return new KeepingAnswer(true, CoreVersion.CURRENT, r.bestBefore(), r.because(), Answer.ungated(r.findings()));
    }
}
