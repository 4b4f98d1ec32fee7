package org.sallowbrook.core.field.season;

import java.util.Collection;
import java.util.Comparator;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.field.Site;
import org.sallowbrook.core.herbarium.Taxon;

/** What a stand is on a morning, in one mark: whether to go there, and for what. */
public enum StandMark {
    READY,
    LIKELY,
    SOON,
    LATER,
    OVER,
    /** Nothing is picked there: it is few, its card knows no part, or the card is not complete. */
    WATCHED,
    UNKNOWN,
    KEEP_OFF;

    /**
     * @param taxon null where nobody knows the plant
     * @param parts readiness of each part that is gathered
     */
    public static StandMark of(@Nullable Taxon taxon, Site site, boolean doubted, Collection<Readiness.State> parts) {
        if (doubted || site.keepsOff() || taxon != null && taxon.danger().dangerous()) {
            return KEEP_OFF;
        }
        if (taxon == null) {
            return UNKNOWN;
        }
        if (site.few() || taxon.draft()) {
            return WATCHED;
        }
        return parts.stream()
                .min(Comparator.naturalOrder())
                .map(s -> switch (s) {
                    case READY -> READY;
                    case LIKELY -> LIKELY;
                    case SOON -> SOON;
                    case LATER -> LATER;
                    case OVER -> OVER;
                })
                .orElse(WATCHED);
    }

    /** Whether anything may be gathered at such a place at all, by what is known of it; the harvest's gates judge more. */
    public boolean gathered() {
        return this != KEEP_OFF && this != WATCHED && this != UNKNOWN;
    }
}
