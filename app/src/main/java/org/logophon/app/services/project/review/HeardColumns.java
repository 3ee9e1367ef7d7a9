package org.logophon.app.services.project.review;

import java.sql.ResultSet;
import java.sql.SQLException;
import org.logophon.core.review.ApprovalState;

/** The columns of table {@code approval} that hold the state in which a cue was heard. */
public final class HeardColumns {

    private HeardColumns() {}

    /** Null in a row without an approval. */
    public static ApprovalState read(ResultSet row) throws SQLException {
        return row.getString("words") == null
                ? null
                : new ApprovalState(
                        row.getString("words"),
                        row.getString("voice"),
                        row.getString("direction"),
                        row.getString("readings"),
                        row.getString("take"),
                        row.getString("loudness"));
    }
}
