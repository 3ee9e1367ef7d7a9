package org.logophon.app.steps.feed;

import static org.logophon.app.platform.table.Columns.time;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Tables {@code feed} and {@code feed_item}. */
@Repository
class FeedRepository {

    private final JdbcClient jdbc;

    FeedRepository(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    Optional<Feed> open(UUID workspace) {
        return feed("workspace_id = :of", workspace);
    }

    Optional<Feed> withToken(String sha256) {
        return feed("token_sha256 = :of", sha256);
    }

    private Optional<Feed> feed(String which, Object of) {
        return jdbc.sql("""
                select workspace_id as workspace, title, description from feed
                where taken_back_at is null and %s""".formatted(which)).param("of", of).query(Feed.class).optional();
    }

    void add(Feed feed, String tokenSha256, Instant now) {
        jdbc.sql("""
                insert into feed (id, workspace_id, token_sha256, title, description, created_at)
                values (:id, :workspace, :token, :title, :description, :now)""")
                .param("id", UUID.randomUUID())
                .param("workspace", feed.workspace())
                .param("token", tokenSha256)
                .param("title", feed.title())
                .param("description", feed.description())
                .param("now", time(now))
                .update();
    }

    void takeBack(UUID workspace, Instant now) {
        jdbc.sql("update feed set taken_back_at = :now where workspace_id = :workspace and taken_back_at is null")
                .param("now", time(now))
                .param("workspace", workspace)
                .update();
    }

    /** Of a workspace, the newest first; projects that were deleted are out of it at once. */
    List<FeedItem> items(UUID workspace) {
        return items("true", workspace, null);
    }

    Optional<FeedItem> item(UUID workspace, UUID delivery) {
        return items("i.delivery_id = :delivery", workspace, delivery).stream().findFirst();
    }

    private List<FeedItem> items(String which, UUID workspace, UUID delivery) {
        return jdbc.sql("""
                select i.delivery_id as delivery, d.project_id as project, p.name as title, d.ordinal, i.seconds,
                i.added_at
                from feed_item i join delivery d on d.id = i.delivery_id join project p on p.id = d.project_id where p.workspace_id = :workspace and p.deleted_at is null and %s
                order by i.added_at desc, i.delivery_id""".formatted(which))
                .param("workspace", workspace)
                .param("delivery", delivery)
                .query(FeedItem.class)
                .list();
    }

    void put(UUID delivery, double seconds, Instant now) {
        jdbc.sql("insert into feed_item (delivery_id, seconds, added_at) values (:delivery, "
                        + ":seconds, :now) on conflict do nothing")
                .param("delivery", delivery)
                .param("seconds", seconds)
                .param("now", time(now))
                .update();
    }

    void remove(UUID delivery) {
        jdbc.sql("delete from feed_item where delivery_id = :delivery")
                .param("delivery", delivery)
                .update();
    }
}
