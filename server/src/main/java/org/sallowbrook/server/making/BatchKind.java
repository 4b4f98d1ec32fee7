package org.sallowbrook.server.making;

public enum BatchKind {
    TINCTURE,
    TEA,
    OIL,
    SALVE
}
