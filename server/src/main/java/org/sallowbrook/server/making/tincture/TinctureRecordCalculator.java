package org.sallowbrook.server.making.tincture;

import jakarta.validation.Valid;
import jakarta.validation.constraints.PositiveOrZero;
import java.util.List;
import org.sallowbrook.core.making.tincture.TinctureRecord;
import org.sallowbrook.server.making.spirit.SpiritCalculators;
import org.sallowbrook.server.platform.Answer;
import org.sallowbrook.server.platform.Prefixed;
import org.sallowbrook.server.platform.Range;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What follows from what was really weighed, poured and pressed. */
@RestController
@RequestMapping("/api/calculators")
class TinctureRecordCalculator {

    record RecordRequest(
            List<@Valid HerbInput> herbs,
            List<SpiritCalculators.@Valid PourInput> pours,
            @PositiveOrZero Double gainedMl) {}

    record RecordNumbers(
            Range liquidMl,
            Range finalPercent,
            Range herbEquivalentGPerMl,
            Range driedEquivalentGPerMl,
            Range retentionMlPerG,
            List<TinctureCalculator.ShareAnswer> shares) {}

    /** What follows from what was really weighed, poured and pressed. */
    @PostMapping("/tincture/record")
    Answer<RecordNumbers> record(@RequestBody RecordRequest r) {
        TinctureRecord.Outcome o = new TinctureRecord(
                        HerbInput.toCore(r.herbs()),
                        Prefixed.each("pours", r.pours(), (i, p) -> p.toCore()),
                        r.gainedMl())
                .follow();
        return Answer.of(
                new RecordNumbers(
                        Range.of(o.liquidMl()),
                        Range.of(o.finalFraction().times(100)),
                        Range.of(o.herbEquivalentGPerMl()),
                        Range.of(o.driedEquivalentGPerMl()),
                        Range.of(o.retentionMlPerG()),
                        o.shares().stream()
                                .map(s -> new TinctureCalculator.ShareAnswer(s.name(), s.fraction()))
                                .toList()),
                o.findings(),
                o.because());
    }
}
