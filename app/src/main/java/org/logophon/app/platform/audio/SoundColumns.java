package org.logophon.app.platform.audio;

import static org.logophon.app.platform.table.Columns.uuid;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.UUID;

/** A sound in a row of another table that names it: {@code sound_id, sample_rate, samples, bits}. */
public final class SoundColumns {

    private SoundColumns() {}

    /** The sound; null where the row has none. */
    public static StoredSound read(ResultSet row) throws SQLException {
        UUID id = uuid(row, "sound_id");
        return id == null
                ? null
                : new StoredSound(id, row.getInt("sample_rate"), row.getLong("samples"), row.getInt("bits"));
    }
}
