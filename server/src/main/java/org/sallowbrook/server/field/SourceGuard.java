package org.sallowbrook.server.field;

import java.util.List;
import java.util.UUID;
import org.sallowbrook.core.measure.Finding;

/** Answered by the shelf, which knows the whole descent of a harvest, for rooms that come before it. */
public interface SourceGuard {

    /** Why a harvest must not be used further; empty when it may. */
    List<Finding> whyNot(UUID harvestId);
}
