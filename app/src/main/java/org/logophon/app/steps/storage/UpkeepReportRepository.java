package org.logophon.app.steps.storage;

import static org.logophon.app.platform.table.Columns.instant;
import static org.logophon.app.platform.table.Columns.time;

import java.util.List;
import java.util.Optional;
import org.logophon.app.platform.upkeep.Upkeep.Removed;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;

/** Tables {@code upkeep_report} and {@code upkeep_removed}. */
@Repository
public class UpkeepReportRepository {

    private final JdbcClient jdbc;

    UpkeepReportRepository(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    @Transactional
    public void add(UpkeepReport report) {
        long id = jdbc.sql("insert into upkeep_report (at, took_millis) values (:at, :took) returning id")
                .param("at", time(report.at()))
                .param("took", report.tookMillis())
                .query(Long.class)
                .single();
        for (Removed removed : report.removed()) {
            jdbc.sql("insert into upkeep_removed (report_id, what, things, bytes) values (:id, :what, :things, :bytes)")
                    .param("id", id)
                    .param("what", removed.what())
                    .param("things", removed.things())
                    .param("bytes", removed.bytes())
                    .update();
        }
    }

    Optional<UpkeepReport> latest() {
        return jdbc.sql("select id, at, took_millis from upkeep_report order by id desc limit 1")
                .query((row, at) ->
                        new UpkeepReport(instant(row, "at"), row.getLong("took_millis"), removed(row.getLong("id"))))
                .optional();
    }

    private List<Removed> removed(long report) {
        return jdbc.sql("select what, things, bytes from upkeep_removed where report_id = :id order by "
                        + "bytes desc, what")
                .param("id", report)
                .query(Removed.class)
                .list();
    }

    /** Of the whole database on disk, its indexes and what it keeps for itself too. */
    long databaseBytes() {
        return jdbc.sql("select pg_database_size(current_database())")
                .query(Long.class)
                .single();
    }
}
