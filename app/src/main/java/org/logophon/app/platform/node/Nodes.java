package org.logophon.app.platform.node;

import java.time.Duration;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.util.List;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Table {@code node}: the servers that work on this database. One that says nothing for a while is gone. */
@Repository
public class Nodes {

    /** Of silence. */
    public static final Duration GONE_AFTER = Duration.ofSeconds(6);

    /** Seen by a clock that went back since then: nobody was there in the future. */
    public static final String THERE =
            "node.seen_at between now() - make_interval(secs => :gone) and now() + make_interval(secs => :gone)";

    private final JdbcClient jdbc;

    Nodes(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** @param name of its machine, with its port. @param renders cues that it renders at once */
    public record Node(UUID id, String name, boolean pages, int renders, Instant begunAt) {}

    public List<Node> there() {
        return jdbc.sql("select * from node where " + THERE + " order by begun_at, id")
                .param("gone", GONE_AFTER.toSeconds())
                .query(Node.class)
                .list();
    }

    /** @return the database's time */
    Instant seen(UUID id, String name, boolean pages, int renders) {
        jdbc.sql("delete from node where seen_at < now() - interval '1 hour'").update();
        return jdbc.sql("""
                insert into node (id, name, pages, renders) values (:id, :name, :pages, :renders)
                on conflict (id) do update set seen_at = now() returning clock_timestamp()""")
                .param("id", id)
                .param("name", name)
                .param("pages", pages)
                .param("renders", renders)
                .query(OffsetDateTime.class)
                .single()
                .toInstant();
    }

    void left(UUID id) {
        jdbc.sql("delete from node where id = :id").param("id", id).update();
    }
}
