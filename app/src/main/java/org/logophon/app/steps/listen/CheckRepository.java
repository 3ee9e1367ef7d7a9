package org.logophon.app.steps.listen;

import static org.logophon.app.platform.table.Columns.uuid;

import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.logophon.core.voice.check.TakeFinding;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** Tables {@code speech_check} and {@code check_dismissed}: what was found in sounds, and what somebody left. */
@Repository
class CheckRepository {

    /** Raised when the rules become others: then everything is checked again. */
    private static final int VERSION = 1;

    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final TypeReference<List<TakeFinding>> FINDINGS = new TypeReference<>() {};

    private final JdbcClient jdbc;

    CheckRepository(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** What is known of a take. @param dismissed by {@link #key} */
    record Known(String name, List<TakeFinding> findings, Set<String> dismissed) {}

    static String key(TakeFinding finding) {
        return finding.kind().id() + " " + finding.start();
    }

    /** Of kept takes, by take. */
    Map<UUID, Known> of(UUID project) {
        Map<UUID, Known> known = new HashMap<>();
        jdbc.sql("""
                select t.id, t.ordinal, k.findings,
                       (select array_agg(d.kind || ' ' || d.start_index) from check_dismissed d
                       where d.speech_id = t.speech_id) as dismissed
                from cue c join take t on t.id = c.kept_take join speech_check k on k.speech_id = t.speech_id
                where c.project_id = :project and c.removed_at is null
                and k.version = :version""").param("project", project).param("version", VERSION).query(row -> {
            var dismissed = row.getArray("dismissed");
            known.put(
                    uuid(row, "id"),
                    new Known(
                            "T" + row.getInt("ordinal"),
                            JSON.readValue(row.getString("findings"), FINDINGS),
                            dismissed == null ? Set.of() : new HashSet<>(List.of((String[]) dismissed.getArray()))));
        });
        return known;
    }

    /** Kept takes that wait to be checked, in the order of the programme. */
    List<UUID> unchecked(UUID project) {
        return jdbc.sql("""
                select t.id from cue c join take t on t.id = c.kept_take left
                join speech_check k on k.speech_id = t.speech_id and k.version = :version
                where c.project_id = :project and c.removed_at is null and t.speech_id is not null
                and k.speech_id is null order by c.position""")
                .param("project", project)
                .param("version", VERSION)
                .query(UUID.class)
                .list();
    }

    void save(UUID speech, List<TakeFinding> findings) {
        jdbc.sql("""
                insert into speech_check (speech_id, version, findings) select id, :version, cast(:findings as jsonb)
                from speech where id = :speech
                on conflict (speech_id) do update set version = excluded.version, findings = excluded.findings""")
                .param("speech", speech)
                .param("version", VERSION)
                .param("findings", JSON.writeValueAsString(findings))
                .update();
    }

    void dismiss(UUID speech, String kind, int start) {
        jdbc.sql("insert into check_dismissed (speech_id, kind, start_index) values (:speech, "
                        + ":kind, :start) on conflict do nothing")
                .param("speech", speech)
                .param("kind", kind)
                .param("start", start)
                .update();
    }

    /** @return how many come back */
    int clear(UUID project) {
        return jdbc.sql("""
                delete from check_dismissed where speech_id in
                (select t.speech_id from take t join cue c on c.id = t.cue_id where c.project_id = :project
                and t.speech_id is not null)""").param("project", project).update();
    }
}
