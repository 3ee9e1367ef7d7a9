package org.logophon.app.services.project;

import static org.logophon.app.platform.table.Columns.instant;
import static org.logophon.app.platform.table.Columns.uuid;
import static org.logophon.app.platform.table.Columns.whole;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.logophon.app.platform.disk.DiskRoom;
import org.logophon.core.time.programme.SampleCount;
import org.logophon.core.voice.VoiceCatalogue;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/**
 * Table {@code project_summary}: every project in a line, by one query. A line is counted anew when its project has
 * changed since, and only then.
 */
@Component
public class ProjectSummaries {

    private final JdbcClient jdbc;
    private final Projects projects;
    private final VoiceCatalogue voices;
    private final DiskRoom room;

    ProjectSummaries(JdbcClient jdbc, Projects projects, VoiceCatalogue voices, DiskRoom room) {
        this.room = room;
        this.jdbc = jdbc;
        this.projects = projects;
        this.voices = voices;
    }

    /** @param stamp of the project now; the summary's own is {@code countedAt}, null when it was never counted */
    private record Row(ProjectSummary summary, String stamp, String countedAt) {}

    /** Those on the shelf, the one changed last first. */
    public List<ProjectSummary> of(UUID workspace) {
        List<ProjectSummary> all = new ArrayList<>();
        for (Row row : rows(workspace)) {
            all.add(row.stamp().equals(row.countedAt()) ? row.summary() : counted(row));
        }
        return all;
    }

    private List<Row> rows(UUID workspace) {
        long catalogue = voices.version();
        return jdbc.sql("""
                select p.id, p.name, p.target_seconds, p.changed_at, p.content_version,
                p.status_version, h.version as house_version, s.*,
                       (select count(*) from delivery d where d.project_id = p.id) as deliveries
                from project p join workspace h on h.id = p.workspace_id left
                join project_summary s on s.project_id = p.id
                where p.workspace_id = :workspace and p.deleted_at is null order by p.changed_at desc, p.name""")
                .param("workspace", workspace)
                .query((row, at) -> row(row, catalogue))
                .list();
    }

    private static Row row(ResultSet row, long catalogue) throws SQLException {
        return new Row(
                new ProjectSummary(
                        uuid(row, "id"),
                        row.getString("name"),
                        whole(row, "target_seconds"),
                        instant(row, "changed_at"),
                        new SampleCount(row.getLong("samples")),
                        row.getInt("cues"),
                        row.getInt("to_render"),
                        row.getInt("rendering"),
                        row.getInt("unfit"),
                        row.getInt("takes"),
                        row.getInt("deliveries")),
                row.getLong("content_version") + " " + row.getLong("status_version") + " "
                        + row.getLong("house_version") + " " + catalogue,
                row.getString("stamp"));
    }

    private ProjectSummary counted(Row row) {
        UUID id = row.summary().id();
        ProjectView view = projects.view(id);
        Instant changed = row.summary().changedAt();
        ProjectSummary summary = new ProjectSummary(
                id,
                row.summary().name(),
                row.summary().targetSeconds(),
                changed,
                view.programme().length(),
                view.cues().size(),
                (int) view.toRender(),
                (int) view.count(CueState.RENDERING),
                (int) view.unfit(),
                view.cues().stream().mapToInt(cue -> cue.status().takes()).sum(),
                row.summary().deliveries());
        // on a full disk it is counted again the next time: reading goes on
        if (!room.full()) {
            keep(row.stamp(), summary);
        }
        return summary;
    }

    private void keep(String stamp, ProjectSummary summary) {
        jdbc.sql("""
                insert into project_summary (project_id, stamp, samples, cues, to_render, rendering, unfit, takes)
                select id, :stamp, :samples, :cues, :render, :rendering, :unfit, :takes from project where id = :project
                on conflict (project_id) do update set stamp = excluded.stamp,
                samples = excluded.samples, cues = excluded.cues,
                to_render = excluded.to_render, rendering = excluded.rendering,
                unfit = excluded.unfit, takes = excluded.takes""")
                .param("project", summary.id())
                .param("stamp", stamp)
                .param("samples", summary.length().samples())
                .param("cues", summary.cues())
                .param("render", summary.toRender())
                .param("rendering", summary.rendering())
                .param("unfit", summary.unfit())
                .param("takes", summary.takes())
                .update();
    }
}
