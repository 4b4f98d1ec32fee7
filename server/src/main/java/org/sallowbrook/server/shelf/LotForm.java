package org.sallowbrook.server.shelf;

/** What a made lot is, whatever vessel it stands in. */
public enum LotForm {
    TINCTURE,
    TEA,
    OIL,
    SALVE
}
