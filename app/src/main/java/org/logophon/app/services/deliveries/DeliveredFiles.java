package org.logophon.app.services.deliveries;

import static org.logophon.app.platform.table.Columns.number;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.logophon.core.delivery.Manifest;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Tables {@code delivery_file} and {@code delivered_content}: what deliveries hold; what is alike is kept once. */
@Repository
public class DeliveredFiles {

    private static final int PART_BYTES = 1 << 20;

    private final JdbcClient jdbc;
    private final JdbcTemplate batches;

    DeliveredFiles(JdbcClient jdbc, JdbcTemplate batches) {
        this.jdbc = jdbc;
        this.batches = batches;
    }

    /**
     * A file as it was delivered.
     *
     * @param madeOf   all that a clip is made of; empty for what is no clip
     * @param measured null for what is no clip, and where it isn't known
     */
    public record Stored(Manifest.Entry entry, String madeOf, Measured measured) {}

    /** The figures of a finished clip. */
    public record Measured(double lufs, double truePeakDbtp) {}

    /** Stores a file's content, unless it is there already. */
    void store(String sha256, InputStream content) throws IOException {
        boolean there = jdbc.sql("select 1 from delivered_content where sha256 = :sha limit 1")
                .param("sha", sha256)
                .query(Integer.class)
                .optional()
                .isPresent();
        if (there) {
            return;
        }
        // nothing counts before the delivery itself is committed, which waits for the disk once for all of them
        jdbc.sql("set local synchronous_commit to off").update();
        int position = 0;
        byte[] part = content.readNBytes(PART_BYTES);
        do {
            jdbc.sql("""
                    insert into delivered_content (sha256, position, content) values (:sha, :position, :content)
                    on conflict do nothing""")
                    .param("sha", sha256)
                    .param("position", position++)
                    .param("content", part)
                    .update();
            part = content.readNBytes(PART_BYTES);
        } while (part.length > 0);
    }

    public void copyTo(String sha256, OutputStream out) throws IOException {
        StoredParts.copy(
                position -> jdbc.sql(
                                "select content from delivered_content where sha256 = :sha and position = :position")
                        .param("sha", sha256)
                        .param("position", position)
                        .query(byte[].class)
                        .optional(),
                out);
    }

    /** A stretch of it. @param to after the last byte */
    public void copyTo(String sha256, long from, long to, OutputStream out) throws IOException {
        for (long at = from; at < to; ) {
            byte[] part = jdbc.sql("select content from delivered_content where sha256 = :sha and position = :position")
                    .param("sha", sha256)
                    .param("position", (int) (at / PART_BYTES))
                    .query(byte[].class)
                    .optional()
                    .orElseThrow(() -> new IOException("A delivered file ended before its end."));
            int first = (int) (at % PART_BYTES);
            int count = (int) Math.min(part.length - first, to - at);
            out.write(part, first, count);
            at += count;
        }
    }

    void save(UUID delivery, List<Stored> files) {
        List<Object[]> rows = new ArrayList<>();
        for (int i = 0; i < files.size(); i++) {
            Manifest.Entry file = files.get(i).entry();
            rows.add(new Object[] {
                delivery,
                i,
                file.path(),
                file.bytes(),
                file.sha256(),
                file.cue(),
                file.change(),
                file.why(),
                file.said(),
                file.voice(),
                file.content(),
                file.start(),
                files.get(i).madeOf(),
                files.get(i).measured() == null ? null : files.get(i).measured().lufs(),
                files.get(i).measured() == null ? null : files.get(i).measured().truePeakDbtp()
            });
        }
        batches.batchUpdate("""
                insert into delivery_file (delivery_id, position, path, bytes, sha256, cue, change, why, said, voice,
                content, start_samples, made_of, lufs, true_peak)
                values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)""", rows);
    }

    /** In the order in which they were written; none of a delivery from before. */
    public List<Stored> of(UUID delivery) {
        return jdbc.sql("select * from delivery_file where delivery_id = :delivery order by position")
                .param("delivery", delivery)
                .query(DeliveredFiles::stored)
                .list();
    }

    private static Stored stored(ResultSet row, int at) throws SQLException {
        Double lufs = number(row, "lufs");
        return new Stored(
                new Manifest.Entry(
                        row.getString("path"),
                        row.getLong("bytes"),
                        row.getString("sha256"),
                        row.getString("cue"),
                        row.getString("change"),
                        row.getString("why"),
                        row.getString("said"),
                        row.getString("voice"),
                        row.getString("content"),
                        row.getLong("start_samples")),
                row.getString("made_of"),
                lufs == null ? null : new Measured(lufs, row.getDouble("true_peak")));
    }

    /** What was taken away. */
    record Unused(long files, long bytes) {}

    /** Takes away content that no delivery has. */
    Unused removeUnused() {
        return jdbc.sql("""
                with gone as (
                  delete from delivered_content c where not exists (select 1 from delivery_file f
                  where f.sha256 = c.sha256)
                  and not exists (select 1 from delivery d where d.state = 'building')
                  returning c.sha256, octet_length(c.content) as bytes)
                select count(distinct sha256) as files, coalesce(sum(bytes), 0) as bytes from gone""").query(Unused.class).single();
    }
}
