package org.sallowbrook.server.platform;

import jakarta.persistence.EntityManagerFactory;
import java.sql.PreparedStatement;
import java.util.UUID;
import org.hibernate.Session;
import org.jspecify.annotations.Nullable;
import org.springframework.orm.jpa.EntityManagerHolder;
import org.springframework.orm.jpa.JpaTransactionManager;
import org.springframework.stereotype.Component;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/**
 * One change of a household at a time, whichever instance it reaches: every transaction that may write first waits for the
 * household's lock, and only then reads what its gates judge. So nothing is picked from a stand while somebody doubts it, and
 * no two changes take the same number, the same last millilitre or the same dose. Reading waits for nobody.
 */
@Component("transactionManager")
class OneWriter extends JpaTransactionManager {

    private static final long serialVersionUID = 1L;

    /** A writer that hangs must not make the others hang with it. */
    private static final int WAIT_MS = 8000;

    private static final String LOCK =
            "select set_config('lock_timeout', ?, true), pg_advisory_xact_lock(hashtextextended(?, 0))";

    OneWriter(EntityManagerFactory factory) {
        super(factory);
    }

    @Override
    protected void doBegin(Object transaction, TransactionDefinition definition) {
        super.doBegin(transaction, definition);
        if (!definition.isReadOnly()) {
            try {
                lock();
            } catch (RuntimeException e) {
                doCleanupAfterCompletion(transaction);
                throw e;
            }
        }
    }

    private void lock() {
        UUID household = Member.householdOrNull();
        EntityManagerFactory factory = obtainEntityManagerFactory();
        @Nullable Object bound = TransactionSynchronizationManager.getResource(factory);
        if (bound instanceof EntityManagerHolder holder) {
            holder.getEntityManager().unwrap(Session.class).doWork(connection -> {
                try (PreparedStatement statement = connection.prepareStatement(LOCK)) {
                    statement.setString(1, String.valueOf(WAIT_MS));
                    // Without a household: making the first account.
                    statement.setString(2, household == null ? "sallowbrook" : household.toString());
                    statement.execute();
                }
                if (household != null) {
                    try (PreparedStatement statement = connection.prepareStatement(Kept.COUNT)) {
                        statement.setObject(1, household);
                        statement.execute();
                    }
                }
            });
        }
    }
}
