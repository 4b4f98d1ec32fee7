package org.sallowbrook.server.household;

import io.github.bucket4j.Bucket;
import io.github.bucket4j.BucketConfiguration;
import io.github.bucket4j.ConsumptionProbe;
import io.github.bucket4j.distributed.ExpirationAfterWriteStrategy;
import io.github.bucket4j.distributed.jdbc.PrimaryKeyMapper;
import io.github.bucket4j.distributed.proxy.ProxyManager;
import io.github.bucket4j.postgresql.Bucket4jPostgreSQL;
import java.time.Duration;
import java.util.concurrent.TimeUnit;
import javax.sql.DataSource;
import org.sallowbrook.server.platform.Problem;
import org.springframework.stereotype.Component;

/**
 * Slows guessing, counted in the database so that every instance counts the same: a few tries for a name from one address,
 * and more, but not many, for a name from anywhere, so that a new address for each guess gains nothing.
 */
@Component
class Throttle {

    private static final Duration PER = Duration.ofMinutes(5);
    private static final int FROM_ONE_ADDRESS = 8;
    private static final int FROM_ANYWHERE = 40;

    private final ProxyManager<String> buckets;

    Throttle(DataSource dataSource) {
        buckets = Bucket4jPostgreSQL.selectForUpdateBasedBuilder(dataSource)
                .primaryKeyMapper(PrimaryKeyMapper.STRING)
                .table("sign_in_bucket")
                .idColumn("id")
                .stateColumn("state")
                .expiresAtColumn("expires_at")
                .expirationAfterWrite(ExpirationAfterWriteStrategy.basedOnTimeForRefillingBucketUpToMax(PER))
                .build();
    }

    /** Tries for one name. */
    final class Tries {
        private final Bucket address;
        private final Bucket anywhere;

        private Tries(String name, String from) {
            address = bucket(name + " " + from, FROM_ONE_ADDRESS);
            anywhere = bucket(name, FROM_ANYWHERE);
        }

        /** Gives the try back: it was right. */
        void right() {
            address.addTokens(1);
            anywhere.addTokens(1);
        }
    }

    /** @throws Problem.Throttled when there were too many */
    Tries attempt(String name, String from) {
        // Longer than any name is; what follows would not be a name's.
        String key = name.length() > 60 ? name.substring(0, 60) : name;
        Tries tries = new Tries(key, from.length() > 60 ? from.substring(0, 60) : from);
        consume(tries.address);
        consume(tries.anywhere);
        return tries;
    }

    private static void consume(Bucket bucket) {
        ConsumptionProbe probe = bucket.tryConsumeAndReturnRemaining(1);
        if (!probe.isConsumed()) {
            throw new Problem.Throttled(TimeUnit.NANOSECONDS.toSeconds(probe.getNanosToWaitForRefill()) + 1);
        }
    }

    private Bucket bucket(String key, int capacity) {
        return buckets.builder()
                .build(
                        key,
                        () -> BucketConfiguration.builder()
                                .addLimit(l -> l.capacity(capacity).refillGreedy(capacity, PER))
                                .build());
    }
}
