package org.sallowbrook.core.measure;

/** Version of the rules; kept beside every stored result, so that an old batch can always be explained. */
public final class CoreVersion {

    public static final String CURRENT = "0.1.0";

    private CoreVersion() {}
}
