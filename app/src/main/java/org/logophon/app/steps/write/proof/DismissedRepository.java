package org.logophon.app.steps.write.proof;

import static org.logophon.app.platform.table.Columns.uuid;

import java.util.HashSet;
import java.util.Set;
import java.util.UUID;
import org.logophon.core.review.proof.FindingKind;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Table {@code dismissed}: findings that somebody has looked at and left. */
@Repository
class DismissedRepository {

    private final JdbcClient jdbc;

    DismissedRepository(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** @param cue null for everywhere in the project */
    record Dismissed(UUID cue, FindingKind kind, String written) {}

    Set<Dismissed> of(UUID project) {
        return new HashSet<>(jdbc.sql("select cue_id, kind, written from dismissed where project_id = :project")
                .param("project", project)
                .query((row, at) -> new Dismissed(
                        uuid(row, "cue_id"), FindingKind.valueOf(row.getString("kind")), row.getString("written")))
                .list());
    }

    void add(UUID project, Dismissed dismissed) {
        jdbc.sql("insert into dismissed (project_id, cue_id, kind, written) values (:project, :cue, "
                        + ":kind, :written) on conflict do nothing")
                .param("project", project)
                .param("cue", dismissed.cue())
                .param("kind", dismissed.kind().name())
                .param("written", dismissed.written())
                .update();
    }

    int clear(UUID project) {
        return jdbc.sql("delete from dismissed where project_id = :project")
                .param("project", project)
                .update();
    }
}
