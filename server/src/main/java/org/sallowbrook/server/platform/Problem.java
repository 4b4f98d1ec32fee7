package org.sallowbrook.server.platform;

import java.time.Instant;
import java.util.List;
import org.sallowbrook.core.measure.Finding;

/** What a room may throw; {@link Problems} turns each into problem+json. */
public abstract sealed class Problem extends RuntimeException {

    private static final long serialVersionUID = 1L;

    private Problem(String message) {
        super(message);
    }

    /** Unknown, or another household's: no difference. */
    public static final class NotFound extends Problem {
        private static final long serialVersionUID = 1L;

        public NotFound(String what) {
            super("There is no such " + what + ".");
        }
    }

    /** A gate said no, or wants an acknowledgement with a reason. */
    public static final class Refused extends Problem {
        private static final long serialVersionUID = 1L;
        private final transient List<Finding> findings;

        public Refused(List<Finding> findings) {
            super("A safety rule holds this back.");
            this.findings = List.copyOf(findings);
        }

        public List<Finding> findings() {
            return findings;
        }
    }

    /** Changed by somebody else since it was read. */
    public static final class Stale extends Problem {
        private static final long serialVersionUID = 1L;
        private final String by;
        private final Instant at;
        private final long version;
        private final transient Object current;

        public Stale(String by, Instant at, long version, Object current) {
            super("It was changed by " + by + " meanwhile; nothing of yours was saved. Look at it again.");
            this.by = by;
            this.at = at;
            this.version = version;
            this.current = current;
        }

        public String by() {
            return by;
        }

        public Instant at() {
            return at;
        }

        public long version() {
            return version;
        }

        public Object current() {
            return current;
        }
    }

    /** A change without saying which version it is meant for. */
    public static final class NoVersion extends Problem {
        private static final long serialVersionUID = 1L;

        public NoVersion() {
            super("Say in If-Match which version you have seen.");
        }
    }

    /** Not possible in the state it is in. */
    public static final class Conflict extends Problem {
        private static final long serialVersionUID = 1L;

        public Conflict(String message) {
            super(message);
        }
    }

    /** Too many tries. */
    public static final class Throttled extends Problem {
        private static final long serialVersionUID = 1L;
        private final long seconds;

        public Throttled(long seconds) {
            super("Too many tries. Wait " + seconds + " seconds and try again.");
            this.seconds = seconds;
        }

        public long seconds() {
            return seconds;
        }
    }

    /** Wrong name or password; does not say which. */
    public static final class SignInFailed extends Problem {
        private static final long serialVersionUID = 1L;

        public SignInFailed() {
            this("Name or password is wrong.");
        }

        public SignInFailed(String words) {
            super(words);
        }
    }
}
