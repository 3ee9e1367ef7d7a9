package org.logophon.app.services.live;

import static org.logophon.app.platform.table.Columns.time;

import java.time.Clock;
import java.time.Duration;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Table {@code here}: windows that have a project open. One that says nothing for a while has left. */
@Repository
class Presence {

    /** Windows say that they are there every twenty seconds. */
    private static final Duration LEFT_AFTER = Duration.ofSeconds(50);

    private final JdbcClient jdbc;
    private final Clock clock;

    Presence(JdbcClient jdbc, Clock clock) {
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /**
     * @param step address of the page
     * @param number of the cue; null where it is at none
     * @param person empty while people are switched off
     */
    record Window(String step, String number, String person) {}

    void seen(UUID page, UUID project, String step, UUID cue, String person) {
        jdbc.sql("""
                insert into here (page_id, project_id, step, cue_id, person, seen_at)
                values (:page, :project, :step, :cue, :person, :now)
                on conflict (page_id) do update set project_id = excluded.project_id,
                step = excluded.step, cue_id = excluded.cue_id,
                person = excluded.person, seen_at = excluded.seen_at""")
                .param("page", page)
                .param("project", project)
                .param("step", step)
                .param("cue", cue)
                .param("person", person)
                .param("now", now())
                .update();
        jdbc.sql("delete from here where project_id = :project and seen_at < :then")
                .param("project", project)
                .param("then", now().minus(LEFT_AFTER))
                .update();
    }

    void left(UUID page, UUID project) {
        jdbc.sql("delete from here where page_id = :page and project_id = :project")
                .param("page", page)
                .param("project", project)
                .update();
    }

    /** @param page that asks: it isn't told of itself */
    List<Window> others(UUID page, UUID project) {
        return jdbc.sql("""
                select h.step, c.number, h.person from here h left join cue c on c.id = h.cue_id
                and c.removed_at is null
                where h.project_id = :project and h.page_id <> :page and h.seen_at >= :then order by h.page_id""")
                .param("project", project)
                .param("page", page)
                .param("then", now().minus(LEFT_AFTER))
                .query((row, at) -> new Window(row.getString("step"), row.getString("number"), row.getString("person")))
                .list();
    }

    private OffsetDateTime now() {
        return time(clock.instant());
    }
}
