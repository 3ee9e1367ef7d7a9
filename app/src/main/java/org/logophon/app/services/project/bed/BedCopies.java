package org.logophon.app.services.project.bed;

import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** The copies of sounds and beds into another project. */
@Component
public class BedCopies {

    private static final String BEDS = """
            insert into bed (id, project_id, sound_file_id, from_cue, to_cue, looped, fade_in_millis, fade_out_millis,
            level_db, rise_db, made_at)
            select gen_random_uuid(), :to, coalesce(own.id, b.sound_file_id), f.id, t.id,
                   b.looped, b.fade_in_millis, b.fade_out_millis, b.level_db, b.rise_db, b.made_at
            from bed b join sound_file s on s.id = b.sound_file_id
            left join sound_file own on own.project_id = :to and s.project_id = :from and own.name = s.name
            and own.removed_at is null
            left join cue f on f.project_id = :to and f.removed_at is null and %1$s
            left join cue t on t.project_id = :to and t.removed_at is null and %2$s
            where b.project_id = :from and b.removed_at is null and s.removed_at is null
            and (b.from_cue is null or f.id is not null) and (b.to_cue is null or t.id is not null)""";

    private final JdbcClient jdbc;

    BedCopies(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /**
     * Sounds, and beds under the same cues: of a copy those in the same places. One without cues takes what lies under
     * all.
     */
    public void copy(UUID from, UUID to) {
        jdbc.sql("""
                insert into sound_file (id, workspace_id, project_id, name, licence, sound_id, from_sample, to_sample,
                own_db, made_at)
                select gen_random_uuid(), workspace_id, :to, name, licence, sound_id, from_sample, to_sample, own_db,
                made_at
                from sound_file where project_id = :from
                and removed_at is null""").param("from", from).param("to", to).update();
        beds(
                from,
                to,
                "f.position = (select position from cue where id = b.from_cue)",
                "t.position = (select position from cue where id = b.to_cue)");
    }

    /** Beds under the cues that stand for those of the first language; its sounds are in reach of every version. */
    public void version(UUID first, UUID version) {
        beds(first, version, "f.first_cue_id = b.from_cue", "t.first_cue_id = b.to_cue");
    }

    private void beds(UUID from, UUID to, String first, String last) {
        jdbc.sql(BEDS.formatted(first, last))
                .param("from", from)
                .param("to", to)
                .update();
    }
}
