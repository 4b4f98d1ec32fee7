package org.sallowbrook.server.making;

import com.fasterxml.jackson.annotation.JsonTypeInfo;
import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import org.sallowbrook.server.platform.Range;

/** What a batch can teach once it is finished; stored with its plan. */
@JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "of")
public sealed interface Lesson {

    /** What the pressed marc keeps. */
    @JsonTypeName("PRESSING")
    record Pressing(List<JarHerb> herbs, Double menstruumMl, Double menstruumPercent) implements Lesson {}

    record JarHerb(String name, Double massG, Range moisture) {}

    /**
     * How firm the wax makes it.
     *
     * @param correction share of beeswax that earlier spoons had moved the rule by
     */
    @JsonTypeName("SPOON")
    record Spoon(String wax, Double correction) implements Lesson {}

    /** What a pan weighs once the water in it is gone. */
    @JsonTypeName("PAN")
    record Pan(Double oilG) implements Lesson {}
}
