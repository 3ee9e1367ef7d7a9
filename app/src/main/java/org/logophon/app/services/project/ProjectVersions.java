package org.logophon.app.services.project;

import static org.logophon.app.platform.table.Columns.uuid;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** The translations of projects, and the pairs of their cues. */
@Repository
public class ProjectVersions {

    private final JdbcClient jdbc;

    ProjectVersions(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /**
     * The cue of the original that a translated cue stands for.
     *
     * @param first id of the cue in the first language
     * @param text  of it, as it was when the version's words were made; null while nobody has translated it
     */
    public record Link(UUID cue, UUID first, String text) {}

    /** Projects that are versions of this one, by their languages. */
    public List<UUID> of(UUID first) {
        return jdbc.sql("select id from project where version_of_id = :first and deleted_at is null order by language")
                .param("first", first)
                .query(UUID.class)
                .list();
    }

    /** Makes a project a version of another. */
    public void setFirst(UUID version, UUID first) {
        jdbc.sql("update project set version_of_id = :first where id = :version")
                .param("first", first)
                .param("version", version)
                .update();
    }

    /** By the cues of a version. */
    public Map<UUID, Link> links(UUID version) {
        Map<UUID, Link> links = new HashMap<>();
        jdbc.sql("select id, first_cue_id, first_text from cue where project_id = :version and "
                        + "removed_at is null and first_cue_id is not null")
                .param("version", version)
                .query((row, at) -> new Link(uuid(row, "id"), uuid(row, "first_cue_id"), row.getString("first_text")))
                .list()
                .forEach(link -> links.put(link.cue(), link));
        return links;
    }

    public void link(List<Link> links) {
        jdbc.sql("""
                update cue c set first_cue_id = r.first, first_text = r.text
                from jsonb_to_recordset(cast(:rows as jsonb)) as r (id uuid, first uuid, text text)
                where c.id = r.id""")
                .param("rows", Rows.of(links, (link, row) -> {
                    row.put("id", link.cue());
                    row.put("first", link.first());
                    row.put("text", link.text());
                }))
                .update();
    }

    /** Numbers, slots and places as they are in the first language. */
    public void takeStructure(UUID version) {
        jdbc.sql("""
                update cue v set number = f.number,
                slot_in_millis = f.slot_in_millis, slot_out_millis = f.slot_out_millis, placement = f.placement,
                anchor = f.anchor, offset_samples = f.offset_samples, fixed_samples = f.fixed_samples
                from cue f where f.id = v.first_cue_id and f.removed_at is null and v.project_id = :version
                and v.removed_at is null""").param("version", version).update();
    }

    /** How cues are spoken, as in the first language. */
    public void takeDirection(UUID version) {
        StringBuilder set = new StringBuilder();
        for (String column : DirectionColumns.NAMES.split(",")) {
            set.append(set.isEmpty() ? "" : ", ")
                    .append(column.strip())
                    .append(" = f.")
                    .append(column.strip());
        }
        jdbc.sql("update cue v set " + set
                        + " from cue f where f.id = v.first_cue_id and v.project_id = :version and "
                        + "v.removed_at is null")
                .param("version", version)
                .update();
    }

    /** Cues of a version whose number, slot or place is another one than in the first language. */
    public int otherwise(UUID version) {
        return jdbc.sql("""
                select count(*) from cue v join cue f on f.id = v.first_cue_id
                where v.project_id = :version and v.removed_at is null and f.removed_at is null
                and (v.number, v.slot_in_millis, v.slot_out_millis, v.placement, v.fixed_samples)
                  is distinct from (f.number, f.slot_in_millis, f.slot_out_millis, f.placement,
                  f.fixed_samples)""").param("version", version).query(Integer.class).single();
    }
}
