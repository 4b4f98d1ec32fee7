package org.sallowbrook.core.making.oil;

import java.util.ArrayList;
import java.util.List;
import org.sallowbrook.core.measure.Because;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Words;

/**
 * What an oil really did.
 *
 * @param poured oil that went in, in mL
 * @param gained oil poured off, in mL
 * @param waterSeen whether a layer of water, drops or cloudiness were seen after it settled
 * @param waterParted whether the oil was poured off the water
 */
public record OilRecord(double herbG, double poured, double gained, boolean waterSeen, boolean waterParted) {

    public OilRecord {
        Checks.begin()
                .positive("herbG", herbG)
                .positive("pouredMl", poured)
                .positive("gainedMl", gained)
                .that(!(gained > poured), "gainedMl", "must not be more than was poured")
                .that(waterSeen || !waterParted, "waterParted", "only water that was seen can be parted")
                .done();
    }

    /** @param keptMlPerG oil the herb kept, per g */
    public record Outcome(double keptMlPerG, List<Finding> findings, List<String> because) {}

    public Outcome follow() {
        double kept = (poured - gained) / herbG;
        Because because = new Because();
        because.equation(
                "The herb kept, per g",
                "(" + Words.exact(poured, "mL") + " − " + Words.exact(gained, "mL") + ") / " + Words.exact(herbG, "g"),
                kept,
                "mL/g");
        List<Finding> findings = new ArrayList<>();
        if (waterSeen && !waterParted) {
            findings.add(Finding.hold(
                    "WATER_IN_OIL",
                    "Water lies under the oil; germs that make botulism grow where the two meet.",
                    "Pour the oil off the water, throw the cloudy rest away; keep it cold, two weeks, skin only."));
        } else if (waterSeen) {
            findings.add(Finding.warn(
                    "WATER_WAS_IN_OIL",
                    "It was poured off water, and some stays in it.",
                    "For the skin only, in the refrigerator, two weeks; never sealed in a warm room."));
        }
        return new Outcome(kept, findings, because.lines());
    }
}
