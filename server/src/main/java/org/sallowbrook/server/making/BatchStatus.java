package org.sallowbrook.server.making;

/** STEEPING until pressed, PRESSED until filled. */
public enum BatchStatus {
    STEEPING,
    PRESSED,
    FINISHED
}
