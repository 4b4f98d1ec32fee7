package org.sallowbrook.server.making;

import com.fasterxml.jackson.annotation.JsonTypeInfo;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.server.platform.Gatekeeper;

/** What somebody wants to make; {@code kind} tells which preparation. A new kind adds itself to the list of permits. */
@JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "kind")
public sealed interface BatchRequest
        permits TinctureBench.Tincturing,
                EyeBench.Covering,
                PercolationBench.Percolating,
                FormulaBench.Mixing,
                JoinedBench.Joining,
                SteepedBench.Steeping,
                TeaBench.Brewing,
                WashBench.Washing,
                SyrupBench.Sweetening,
                CubesBench.Icing,
                DryBench.Blending,
                PoulticeBench.Poulticing,
                KeptBench.Keeping,
                EvaporatedBench.Evaporating,
                OilBench.Infusing,
                SalveBench.Salving,
                CreamBench.Creaming {

    UUID id();

    String name();

    /** How it is to be used; what goes in may narrow it, never widen it. */
    Taxon.Route route();

    LocalDate startedOn();

    @Nullable
    List<Gatekeeper.Acknowledgement> acknowledged();
}
