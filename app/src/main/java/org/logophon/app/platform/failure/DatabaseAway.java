package org.logophon.app.platform.failure;

import org.springframework.dao.DataAccessResourceFailureException;
import org.springframework.dao.TransientDataAccessException;
import org.springframework.jdbc.CannotGetJdbcConnectionException;
import org.springframework.transaction.CannotCreateTransactionException;
import org.springframework.transaction.TransactionSystemException;

/** The test of whether a failure of the database passes by itself. */
public final class DatabaseAway {

    public static final String SENTENCE =
            "The database doesn't answer right now. Nothing is lost; wait a moment and try again.";

    /** For whoever has a page open. */
    public static final String ON_A_PAGE =
            "The database doesn't answer right now. What is on this page stays, and is saved when it does.";

    private DatabaseAway() {}

    /** True when the same may well work a moment later. */
    public static boolean is(Throwable failure) {
        return !NoRoom.is(failure) && passes(failure);
    }

    private static boolean passes(Throwable failure) {
        return failure instanceof CannotGetJdbcConnectionException
                || failure instanceof CannotCreateTransactionException
                || failure instanceof TransactionSystemException
                || failure instanceof DataAccessResourceFailureException
                || failure instanceof TransientDataAccessException;
    }
}
