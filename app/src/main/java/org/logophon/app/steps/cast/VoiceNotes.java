package org.logophon.app.steps.cast;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.logophon.app.platform.people.Visits;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;

/** Tables {@code voice_note} and {@code voice_group}. */
@Repository
class VoiceNotes {

    private final JdbcClient jdbc;
    private final Visits visits;

    VoiceNotes(JdbcClient jdbc, Visits visits) {
        this.jdbc = jdbc;
        this.visits = visits;
    }

    Map<String, VoiceNote> all() {
        Map<String, List<String>> groups = new HashMap<>();
        jdbc.sql("select name, voice_id from voice_group where workspace_id = :workspace order by name")
                .param("workspace", visits.workspace())
                .query((row, at) -> groups.computeIfAbsent(row.getString("voice_id"), id -> new ArrayList<>())
                        .add(row.getString("name")))
                .list();
        Map<String, VoiceNote> notes = new HashMap<>();
        jdbc.sql("select * from voice_note where workspace_id = :workspace")
                .param("workspace", visits.workspace())
                .query((row, at) -> notes.put(
                        row.getString("voice_id"),
                        new VoiceNote(
                                row.getBoolean("shortlisted"),
                                row.getInt("stars"),
                                row.getString("note"),
                                groups.getOrDefault(row.getString("voice_id"), List.of()))))
                .list();
        groups.forEach((id, names) -> notes.computeIfAbsent(id, key -> new VoiceNote(false, 0, "", names)));
        return notes;
    }

    void shortlist(String voice, boolean shortlisted) {
        jdbc.sql("insert into voice_note (workspace_id, voice_id, shortlisted) values (:workspace, "
                        + ":voice, :value) on conflict (workspace_id, voice_id) do update set shortlisted = "
                        + ":value")
                .param("workspace", visits.workspace())
                .param("voice", voice)
                .param("value", shortlisted)
                .update();
    }

    void stars(String voice, int stars) {
        jdbc.sql("insert into voice_note (workspace_id, voice_id, stars) values (:workspace, "
                        + ":voice, :value) on conflict (workspace_id, voice_id) do update set stars = :value")
                .param("workspace", visits.workspace())
                .param("voice", voice)
                .param("value", stars)
                .update();
    }

    @Transactional
    void write(String voice, String note, Set<String> groups) {
        jdbc.sql("insert into voice_note (workspace_id, voice_id, note) values (:workspace, :voice, "
                        + ":value) on conflict (workspace_id, voice_id) do update set note = :value")
                .param("workspace", visits.workspace())
                .param("voice", voice)
                .param("value", note)
                .update();
        jdbc.sql("delete from voice_group where workspace_id = :workspace and voice_id = :voice")
                .param("workspace", visits.workspace())
                .param("voice", voice)
                .update();
        new LinkedHashSet<>(groups)
                .forEach(name -> jdbc.sql("insert into voice_group (workspace_id, name, voice_id) values "
                                + "(:workspace, :name, :voice)")
                        .param("workspace", visits.workspace())
                        .param("name", name)
                        .param("voice", voice)
                        .update());
    }

    /** For each voice the roles that it speaks, as "narrator of First Firing". */
    Map<String, List<String>> used() {
        Map<String, List<String>> used = new HashMap<>();
        jdbc.sql("""
                select r.voice_id, r.name, p.name as project from role r join project p on p.id = r.project_id
                where p.workspace_id = :workspace and p.deleted_at is null and r.voice_id is not null
                and exists (select 1 from cue c where c.project_id = p.id and c.removed_at is null
                and lower(c.role) = lower(r.name)) order by p.name, r.position""")
                .param("workspace", visits.workspace())
                .query((row, at) -> used.computeIfAbsent(row.getString("voice_id"), id -> new ArrayList<>())
                        .add(row.getString("name") + " of " + row.getString("project")))
                .list();
        return used;
    }
}
