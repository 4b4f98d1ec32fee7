package org.sallowbrook.core.making.tincture;

import java.util.ArrayList;
import java.util.List;
import org.sallowbrook.core.making.spirit.Pour;
import org.sallowbrook.core.making.spirit.Spirits;
import org.sallowbrook.core.measure.Because;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.Moisture;
import org.sallowbrook.core.measure.Words;

/**
 * What was really weighed, poured and pressed.
 *
 * @param herbs as weighed into the jar
 * @param pours as poured, water with strength 0
 * @param gainedMl what came out of the press, 0 while it still steeps
 */
public record TinctureRecord(List<Tincture.Herb> herbs, List<Pour> pours, double gainedMl) {

    public TinctureRecord {
        Checks.begin()
                .that(!herbs.isEmpty(), "herbs", "must name at least one herb")
                .that(!pours.isEmpty(), "pours", "must hold at least one")
                .notNegative("gainedMl", gainedMl)
                .done();
        herbs = List.copyOf(herbs);
        pours = List.copyOf(pours);
    }

    /**
     * What follows from the record.
     *
     * @param retentionMlPerG what the marc kept, per g of dry matter; 0..0 while it steeps
     * @param pressing to learn from, at the middle of the moisture; absent while it steeps
     */
    public record Outcome(
            Interval liquidMl,
            Interval finalFraction,
            Interval herbEquivalentGPerMl,
            Interval driedEquivalentGPerMl,
            Interval retentionMlPerG,
            List<Retention.Pressing> pressing,
            List<Tincture.Share> shares,
            List<Finding> findings,
            List<String> because) {}

    public Outcome follow() {
        Because because = new Because();
        List<Finding> findings = new ArrayList<>();
        Tincture.Sums sums = Tincture.Sums.of(herbs);
        Spirits.Mixture menstruum = Spirits.mix(pours);
        Spirits.Mixture drier = Tincture.afterPlantWater(
                menstruum.volumeMl(), menstruum.strength(), sums.waterG().low());
        Spirits.Mixture wetter = Tincture.afterPlantWater(
                menstruum.volumeMl(), menstruum.strength(), sums.waterG().high());
        Interval liquid = Interval.of(drier.volumeMl(), wetter.volumeMl());
        Interval strength =
                Interval.of(wetter.strength().fraction(), drier.strength().fraction());
        findings.addAll(Tincture.strengthFindings(strength));
        Interval dry = sums.dryG();
        Interval retention = Interval.exactly(0);
        List<Retention.Pressing> pressing = List.of();
        if (gainedMl > 0) {
            if (gainedMl > liquid.high() * (1 + 1e-9)) {
                findings.add(Finding.warn(
                        "MORE_THAN_THERE_WAS",
                        Words.millilitres(gainedMl) + " came out of a jar that held " + Words.range(liquid, "mL") + ".",
                        "Check the measuring cup, and whether everything poured was noted."));
            } else {
                retention = Interval.of(
                        Math.max(0, liquid.low() - gainedMl) / dry.high(), (liquid.high() - gainedMl) / dry.low());
                if (gainedMl <= liquid.mid()) {
                    pressing = List.of(new Retention.Pressing(dry.mid(), liquid.mid(), gainedMl));
                }
                because.equation(
                        "The marc kept, per g of dry matter",
                        "(" + Words.exact(liquid.mid(), "mL") + " − " + Words.exact(gainedMl, "mL") + ") / "
                                + Words.exact(dry.mid(), "g"),
                        (liquid.mid() - gainedMl) / dry.mid(),
                        "mL/g");
            }
        }
        return new Outcome(
                liquid,
                strength,
                Interval.of(sums.massG() / liquid.high(), sums.massG() / liquid.low()),
                Interval.of(
                        dry.low() / (1 - Moisture.DRIED) / liquid.high(),
                        dry.high() / (1 - Moisture.DRIED) / liquid.low()),
                retention,
                pressing,
                sums.shares(),
                findings,
                because.lines());
    }
}
