package org.logophon.app.platform.people;

import static org.logophon.app.platform.table.Columns.has;
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

/** Table {@code invitation}. */
@Repository
class InvitationRepository {

    private final JdbcClient jdbc;

    InvitationRepository(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** @param person who gets a new pass phrase by it; null for somebody who comes in */
    record Invitation(UUID id, UUID workspace, MemberRole role, UUID person, Instant until, boolean ended) {

        boolean open(Instant now) {
            return !ended && now.isBefore(until);
        }
    }

    void add(Invitation invitation, String tokenSha256, Instant now) {
        jdbc.sql("""
                insert into invitation (id, token_sha256, workspace_id, role, person_id, made_at, until)
                values (:id, :token, :workspace, :role, :person, :now, :until)""")
                .param("id", invitation.id())
                .param("token", tokenSha256)
                .param("workspace", invitation.workspace())
                .param("role", invitation.role().id())
                .param("person", invitation.person())
                .param("now", time(now))
                .param("until", time(invitation.until()))
                .update();
    }

    Optional<Invitation> withToken(String sha256) {
        return jdbc.sql("select * from invitation where token_sha256 = :token")
                .param("token", sha256)
                .query(InvitationRepository::invitation)
                .optional();
    }

    /** Those that somebody can still use, the one that ends first first. */
    List<Invitation> open(UUID workspace, Instant now) {
        return jdbc.sql("select * from invitation where workspace_id = :workspace and ended_at is null and "
                        + "until > :now and person_id is null order by until")
                .param("workspace", workspace)
                .param("now", time(now))
                .query(InvitationRepository::invitation)
                .list();
    }

    /** @return false when it was used or taken back before */
    boolean end(UUID id, Instant now) {
        return jdbc.sql("update invitation set ended_at = :now where id = :id and ended_at is null")
                        .param("now", time(now))
                        .param("id", id)
                        .update()
                == 1;
    }

    /** All that lead into a workspace as an owner, or to a new pass phrase of somebody. */
    void endOwners(UUID workspace, Instant now) {
        jdbc.sql("update invitation set ended_at = :now where workspace_id = :workspace and role = "
                        + "'owner' and ended_at is null")
                .param("now", time(now))
                .param("workspace", workspace)
                .update();
    }

    private static Invitation invitation(ResultSet row, int at) throws SQLException {
        return new Invitation(
                uuid(row, "id"),
                uuid(row, "workspace_id"),
                MemberRole.named(row.getString("role")),
                uuid(row, "person_id"),
                instant(row, "until"),
                has(row, "ended_at"));
    }
}
