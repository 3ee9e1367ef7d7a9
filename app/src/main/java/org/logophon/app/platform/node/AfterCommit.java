package org.logophon.app.platform.node;

import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/**
 * Work that begins once the caller's transaction has committed: who looks at the database before finds nothing there,
 * whether another server or another thread of this one.
 */
public final class AfterCommit {

    private AfterCommit() {}

    /**
     * Runs the work after the commit, and never if there is none.
     *
     * @throws IllegalStateException when no transaction is open
     */
    public static void run(Runnable work) {
        TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
            @Override
            public void afterCommit() {
                work.run();
            }
        });
    }
}
