package org.logophon.app.steps.share;

import static org.logophon.app.platform.table.Columns.instant;
import static org.logophon.app.platform.table.Columns.time;
import static org.logophon.app.platform.table.Columns.uuid;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Table {@code share}. What stands in a link's address is never stored, but its digest. */
@Repository
class ShareRepository {

    private final JdbcClient jdbc;

    ShareRepository(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    void add(Share share, String tokenSha256) {
        jdbc.sql("""
                insert into share (id, project_id, delivery_id, follows, token_sha256, phrase, name, until, download,
                created_at)
                values (:id, :project, :delivery, :follows, :token, :phrase, :name, :until, :download, :now)""")
                .param("id", share.id())
                .param("project", share.project())
                .param("delivery", share.delivery())
                .param("follows", share.follows())
                .param("token", tokenSha256)
                .param("phrase", share.phrase())
                .param("name", share.name())
                .param("until", time(share.until()))
                .param("download", share.download())
                .param("now", time(share.createdAt()))
                .update();
    }

    Optional<Share> withToken(String sha256) {
        return jdbc.sql("select * from share where token_sha256 = :token")
                .param("token", sha256)
                .query(ShareRepository::share)
                .optional();
    }

    /** The newest first. */
    List<Share> of(UUID project) {
        return jdbc.sql("select * from share where project_id = :project order by created_at desc, id")
                .param("project", project)
                .query(ShareRepository::share)
                .list();
    }

    void takeBack(UUID share, Instant now) {
        jdbc.sql("update share set taken_back_at = :now where id = :share and taken_back_at is null")
                .param("now", time(now))
                .param("share", share)
                .update();
    }

    /**
     * @param before tries that were counted until now
     * @return false when another try was counted meanwhile: then this one doesn't count, and isn't answered
     */
    boolean tried(UUID share, int before, int wrong, Instant waitUntil) {
        return jdbc.sql("update share set wrong = :wrong, wait_until = :wait where id = :share and wrong = :before")
                        .param("wrong", wrong)
                        .param("wait", time(waitUntil))
                        .param("share", share)
                        .param("before", before)
                        .update()
                == 1;
    }

    private static Share share(ResultSet row, int at) throws SQLException {
        return new Share(
                uuid(row, "id"),
                uuid(row, "project_id"),
                uuid(row, "delivery_id"),
                row.getBoolean("follows"),
                row.getString("name"),
                row.getString("phrase"),
                instant(row, "until"),
                row.getBoolean("download"),
                instant(row, "created_at"),
                instant(row, "taken_back_at"),
                row.getInt("wrong"),
                instant(row, "wait_until"));
    }
}
