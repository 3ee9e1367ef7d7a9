package org.logophon.app.steps.listen;

import static org.logophon.app.platform.table.Columns.instant;
import static org.logophon.app.platform.table.Columns.time;
import static org.logophon.app.platform.table.Columns.uuid;

import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import org.logophon.app.services.project.review.Happening;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** What happened, in one list: to takes, to cues, and what was delivered. Reads only. */
@Repository
class HistoryRepository {

    private static final String ALL = """
            select at, what, number, cue_id, take, before, after from (
                select e.at, e.what, c.number, c.id as cue_id, 'T' || t.ordinal as take, null as before, null as after,
                e.id
                from take_event e join take t on t.id = e.take_id join cue c on c.id = t.cue_id
                where c.project_id = :project
                union all
                select h.at, h.what, c.number, h.cue_id, null, h.before, h.after, h.id
                from happening h left join cue c on c.id = h.cue_id where h.project_id = :project
                union all
                select d.finished_at, 'delivered', null, null, null, null, 'Delivery ' || d.ordinal, 0
                from delivery d where d.project_id = :project and d.state = 'ready') as everything
            where (cast(:cue as uuid) is null or cue_id = :cue or cue_id is null and what <> 'delivered' and :shared)
            order by at desc, id desc limit :most""";

    private final JdbcClient jdbc;

    HistoryRepository(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /**
     * Something that happened.
     *
     * @param what   as files write it
     * @param label  for people
     * @param number of the cue; null for what concerns all of them
     * @param take   T3; null where no take is meant
     */
    record Event(
            Instant at, String what, String label, UUID cue, String number, String take, String before, String after) {}

    /** @param cue null for all of them. @return the latest first */
    List<Event> of(UUID project, UUID cue, int most) {
        return jdbc.sql(ALL)
                .param("project", project)
                .param("cue", cue)
                .param("shared", cue != null)
                .param("most", most)
                .query((row, at) -> new Event(
                        instant(row, "at"),
                        row.getString("what"),
                        label(row.getString("what")),
                        uuid(row, "cue_id"),
                        row.getString("number"),
                        row.getString("take"),
                        row.getString("before"),
                        row.getString("after")))
                .list();
    }

    private static String label(String what) {
        return switch (what) {
            case "made" -> "rendered";
            case "restored" -> "restored";
            case "kept", "deleted", "emptied", "delivered" -> what;
            default -> Happening.valueOf(what.toUpperCase(Locale.ROOT)).label();
        };
    }

    /** The words of a cue at a time; empty when they are what they are now. */
    Optional<String> wordsAt(UUID cue, Instant at) {
        return jdbc.sql("select before from happening where cue_id = :cue and what = :what and at > :at "
                        + "order by id limit 1")
                .param("cue", cue)
                .param("what", Happening.WORDS.id())
                .param("at", time(at))
                .query(String.class)
                .optional();
    }

    /** The take of a cue that was kept at a time, unless it was emptied since. */
    Optional<UUID> keptAt(UUID cue, Instant at) {
        return jdbc.sql("""
                select t.id from take_event e join take t on t.id = e.take_id
                where t.cue_id = :cue and e.what = 'kept' and t.speech_id is not null
                -- what is made and kept at once is written down a moment apart
                and (e.at <= :at or exists (select 1 from take_event m where m.take_id = e.take_id
                and m.what = 'made' and m.at <= :at
                                            and e.at between m.at and m.at + interval '1 second'))
                order by e.id desc limit 1""")
                .param("cue", cue)
                .param("at", time(at))
                .query(UUID.class)
                .optional();
    }
}
