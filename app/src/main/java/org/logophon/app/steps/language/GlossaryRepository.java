package org.logophon.app.steps.language;

import static org.logophon.app.platform.table.Columns.uuid;

import java.util.List;
import java.util.UUID;
import org.logophon.core.review.translation.GlossaryTerm;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Table {@code glossary_term}. */
@Repository
class GlossaryRepository {

    private final JdbcClient jdbc;

    GlossaryRepository(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** A term with its row's id. */
    public record KeptTerm(UUID id, GlossaryTerm term) {

        /** Its language, for people. */
        public String tongue() {
            return Versions.named(term.language());
        }
    }

    List<KeptTerm> of(UUID project) {
        return jdbc.sql("select * from glossary_term where project_id = :project order by lower(written), language")
                .param("project", project)
                .query((row, at) -> new KeptTerm(
                        uuid(row, "id"),
                        new GlossaryTerm(row.getString("written"), row.getString("said"), row.getString("language"))))
                .list();
    }

    /** One of the same words and language is replaced. */
    void put(UUID project, GlossaryTerm term) {
        jdbc.sql("""
                insert into glossary_term (id, project_id, written, said, language)
                values (:id, :project, :written, :said, :language)
                on conflict (project_id, written, language) do update set said = excluded.said""")
                .param("id", UUID.randomUUID())
                .param("project", project)
                .param("written", term.written())
                .param("said", term.said())
                .param("language", term.language())
                .update();
    }

    void remove(UUID project, UUID term) {
        jdbc.sql("delete from glossary_term where id = :id and project_id = :project")
                .param("id", term)
                .param("project", project)
                .update();
    }
}
