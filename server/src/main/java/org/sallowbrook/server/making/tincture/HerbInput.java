package org.sallowbrook.server.making.tincture;

import jakarta.validation.constraints.Positive;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.making.tincture.Tincture;
import org.sallowbrook.server.platform.Prefixed;
import org.sallowbrook.server.platform.Range;

/** A herb as the calculators take it. */
record HerbInput(
        String name,
        String part,
        @Positive Double massG,
        Tincture.State state,
        Range moisture,
        @Positive @Nullable Double bulkDensityGPerMl) {

    static List<Tincture.Herb> toCore(List<HerbInput> herbs) {
        return Prefixed.each(
                "herbs",
                herbs,
                (i, h) -> new Tincture.Herb(
                        h.name(),
                        h.part(),
                        h.massG(),
                        h.state(),
                        Prefixed.at("moisture", h.moisture()::moisture),
                        h.bulkDensityGPerMl()));
    }
}
