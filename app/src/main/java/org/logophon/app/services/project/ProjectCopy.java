package org.logophon.app.services.project;

import java.util.UUID;
import org.logophon.app.services.project.bed.BedCopies;
import org.logophon.core.text.script.HandCuts;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Copies a project with its script, cast, direction and kept takes; the sound itself is shared, not copied. */
@Component
public class ProjectCopy {

    private final Projects projects;
    private final ProjectRepository table;
    private final RoleRepository roles;
    private final BedCopies beds;
    private final JdbcClient jdbc;

    ProjectCopy(Projects projects, ProjectRepository table, RoleRepository roles, BedCopies beds, JdbcClient jdbc) {
        this.projects = projects;
        this.table = table;
        this.roles = roles;
        this.beds = beds;
        this.jdbc = jdbc;
    }

    /** @param what said in brackets behind the name, as in "The Lantern Room (copy)". @return the copy's id */
    @Transactional
    public UUID copy(UUID id, String what) {
        Project from = projects.require(id);
        String suffix = " (" + what + ")";
        String base = from.name().substring(0, Math.min(from.name().length(), Project.LONGEST_NAME - suffix.length()));
        UUID to = table.create(from.workspace(), base + suffix, from.language(), from.targetSeconds())
                .id();
        table.saveScript(to, from.script(), from.shape(), from.scriptVersion());
        settings(from, to);
        jdbc.sql("""
                with cues as (
                  select gen_random_uuid() as copy, gen_random_uuid() as take_copy, c.* from cue c
                  where c.project_id = :from and c.removed_at is null),
                takes as (
                  insert into take (id, cue_id, ordinal, source, recipe, speech_id, origin, created_at)
                  select c.take_copy, c.copy, 1, t.source, t.recipe, t.speech_id, t.origin, t.created_at
                  from cues c join take t on t.id = c.kept_take),
                events as (
                  insert into take_event (take_id, what, at)
                  select c.take_copy, what, now() from cues c cross join (values ('made'), ('kept')) as w (what)
                  where c.kept_take is not null),
                marks as (
                  insert into mark (cue_id, start_index, end_index, kind, value, origin, reason)
                  select c.copy, m.start_index, m.end_index, m.kind, m.value, m.origin, m.reason from cues c
                  join mark m on m.cue_id = c.id),
                captions as (
                  insert into caption_correction (cue_id, spoken, shown)
                  select c.copy, s.spoken, s.shown from cues c join caption_correction s on s.cue_id = c.id),
                chances as (
                  insert into cue_chance (cue_id, seed) select c.copy, s.seed from cues c
                  join cue_chance s on s.cue_id = c.id),
                places as (
                  insert into place_reading (cue_id, start_index, written, said, said_as)
                  select c.copy, p.start_index, p.written, p.said, p.said_as from cues c
                  join place_reading p on p.cue_id = c.id)
                insert into cue (id, project_id, position, number, scene, role, text, words, syllables,
                reference_seconds, slot_in_millis, slot_out_millis,
                                 %1$s, taken, placement, anchor, offset_samples, fixed_samples, kept_take, kept_recipe)
                select copy, :to, position, number, scene, role, text, words, syllables, reference_seconds,
                slot_in_millis, slot_out_millis,
                       %1$s, taken, placement, anchor, offset_samples, fixed_samples, case
                       when kept_take is null then null else take_copy end, kept_recipe
                       from cues""".formatted(DirectionColumns.NAMES))
                .param("from", id)
                .param("to", to)
                .update();
        jdbc.sql("insert into scene_gap (project_id, scene, millis) select :to, scene, millis from "
                        + "scene_gap where project_id = :from")
                .param("from", id)
                .param("to", to)
                .update();
        jdbc.sql("""
                insert into picture_slot (id, project_id, in_millis, out_millis, number, name)
                select gen_random_uuid(), :to, in_millis, out_millis, number, name from picture_slot
                where project_id = :from""").param("from", id).param("to", to).update();
        beds.copy(id, to);
        return to;
    }

    /** An empty project with the same voices, direction, readings and numbers to begin with. @return its id */
    @Transactional
    public UUID like(UUID id, String name) {
        Project from = projects.require(id);
        UUID to = table.create(from.workspace(), name, from.language(), null).id();
        table.saveScript(to, "", from.shape().with(HandCuts.NONE).frozen(false), 0);
        settings(from, to);
        beds.copy(id, to);
        return to;
    }

    private void settings(Project from, UUID to) {
        UUID id = from.id();
        table.setFinish(to, from.targetLufs(), from.namePattern());
        table.direct(to, from.direction(), 0);
        table.setPicture(to, from.picture());
        roles.copy(id, to);
        jdbc.sql("""
                insert into reading (id, project_id, written, said, said_as, language, match_case, at)
                select gen_random_uuid(), :to, written, said, said_as, language, match_case, at from reading
                where project_id = :from""").param("from", id).param("to", to).update();
    }
}
