package org.sallowbrook.server.making;

import com.fasterxml.jackson.annotation.JsonTypeInfo;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.server.platform.Gatekeeper;

/** What somebody wants to make; {@code kind} tells which preparation. Every kind in a room of the bench is found. */
@JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "kind")
public interface BatchRequest {

    UUID id();

    String name();

    /** How it is to be used; what goes in may narrow it, never widen it. */
    Taxon.Route route();

    LocalDate startedOn();

    @Nullable
    List<Gatekeeper.Acknowledgement> acknowledged();
}
