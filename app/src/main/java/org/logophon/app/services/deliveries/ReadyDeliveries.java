package org.logophon.app.services.deliveries;

import static org.logophon.app.platform.table.Columns.uuid;

import java.io.IOException;
import java.io.OutputStream;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.logophon.app.services.project.bed.LaidOut;
import org.logophon.core.review.ApprovalState;
import org.logophon.core.time.programme.SampleCount;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import tools.jackson.databind.json.JsonMapper;

/**
 * Deliveries that are there, for those who hear them by a link; and tables {@code delivered_cue}, {@code
 * delivery_layer}.
 */
@Repository
public class ReadyDeliveries {

    private static final JsonMapper JSON = JsonMapper.builder().build();

    private final DeliveryRepository deliveries;
    private final DeliveredFiles files;
    private final DeliveryZip zip;
    private final JdbcClient jdbc;
    private final JdbcTemplate batches;

    ReadyDeliveries(
            DeliveryRepository deliveries,
            DeliveredFiles files,
            DeliveryZip zip,
            JdbcClient jdbc,
            JdbcTemplate batches) {
        this.deliveries = deliveries;
        this.files = files;
        this.zip = zip;
        this.jdbc = jdbc;
        this.batches = batches;
    }

    public Optional<Delivery> find(UUID delivery) {
        return deliveries.find(delivery).filter(Delivery::ready);
    }

    public Optional<Delivery> newest(UUID project) {
        return deliveries.of(project).stream().filter(Delivery::ready).max(Comparator.comparingInt(Delivery::ordinal));
    }

    /** In the order of the programme; none of a delivery from before they were kept. */
    public List<DeliveredCue> cues(UUID delivery) {
        return jdbc.sql("select * from delivered_cue where delivery_id = :delivery order by position")
                .param("delivery", delivery)
                .query((row, at) -> new DeliveredCue(
                        uuid(row, "cue_id"),
                        uuid(row, "take_id"),
                        row.getString("number"),
                        row.getString("scene"),
                        row.getString("role"),
                        row.getDouble("offset_db"),
                        new SampleCount(row.getLong("start_samples")),
                        new SampleCount(row.getLong("length_samples")),
                        JSON.readValue(row.getString("heard"), ApprovalState.class)))
                .list();
    }

    /**
     * The whole programme as one file.
     *
     * @param kind "mp3", "wav"…
     */
    public record WholeFile(String sha256, long bytes, String kind) {}

    /** Empty where the delivery has none. */
    public Optional<WholeFile> whole(UUID delivery) {
        return files.of(delivery).stream()
                .map(DeliveredFiles.Stored::entry)
                .filter(file -> file.path().matches("programme\\.(wav|flac|mp3|opus|m4a)")
                        && !file.sha256().isEmpty())
                .findFirst()
                .map(file -> new WholeFile(
                        file.sha256(),
                        file.bytes(),
                        file.path().substring(file.path().lastIndexOf('.') + 1)));
    }

    /** @param to after the last byte */
    public void copyTo(WholeFile file, long from, long to, OutputStream out) throws IOException {
        files.copyTo(file.sha256(), from, to, out);
    }

    /** The whole package. */
    public void copyTo(Delivery delivery, String title, OutputStream out) throws IOException {
        if (delivery.choice() == null) {
            // from before files were kept one by one
            deliveries.copyTo(delivery.id(), out);
        } else {
            zip.write(delivery, title, false, out);
        }
    }

    /** What lay under its programme; empty for nothing. */
    public Optional<LaidOut> laidOut(UUID delivery) {
        return jdbc.sql("select laid_out from delivery_layer where delivery_id = :delivery")
                .param("delivery", delivery)
                .query(String.class)
                .optional()
                .map(LaidOut::read);
    }

    void save(UUID delivery, List<DeliveredCue> cues, LaidOut laid) {
        if (!laid.empty()) {
            jdbc.sql("insert into delivery_layer (delivery_id, laid_out) values (:delivery, cast(:laid as jsonb))")
                    .param("delivery", delivery)
                    .param("laid", laid.written())
                    .update();
            jdbc.sql("insert into delivered_sound (delivery_id, sound_id) select :delivery, unnest(:sounds)")
                    .param("delivery", delivery)
                    .param("sounds", laid.soundIds().toArray(UUID[]::new))
                    .update();
        }
        batches.batchUpdate(
                """
                insert into delivered_cue (delivery_id, position, cue_id, take_id, number, scene, role, offset_db,
                start_samples, length_samples, heard)
                values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, cast(? as jsonb))""",
                java.util.stream.IntStream.range(0, cues.size())
                        .mapToObj(at -> row(delivery, at, cues.get(at)))
                        .toList());
    }

    private static Object[] row(UUID delivery, int at, DeliveredCue cue) {
        return new Object[] {
            delivery,
            at,
            cue.cue(),
            cue.take(),
            cue.number(),
            cue.scene(),
            cue.role(),
            cue.offsetDb(),
            cue.start().samples(),
            cue.length().samples(),
            JSON.writeValueAsString(cue.heard())
        };
    }
}
