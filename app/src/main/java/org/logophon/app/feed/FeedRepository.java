package org.logophon.app.feed;

import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
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

    Optional<Feed> open() {
        return jdbc.sql("select * from feed where taken_back_at is null order by created_at desc limit 1")
                .query((row, at) -> new Feed(
                        row.getString("title"),
                        row.getString("description"),
                        instant(row.getObject("created_at", OffsetDateTime.class))))
                .optional();
    }

    Optional<Feed> withToken(String sha256) {
        return jdbc.sql("select * from feed where taken_back_at is null and token_sha256 = :token")
                .param("token", sha256)
                .query((row, at) -> new Feed(
                        row.getString("title"),
                        row.getString("description"),
                        instant(row.getObject("created_at", OffsetDateTime.class))))
                .optional();
    }

    void add(String tokenSha256, String title, String description, Instant now) {
        jdbc.sql(
                        "insert into feed (id, token_sha256, title, description, created_at) values (:id, :token, :title, :description, :now)")
                .param("id", UUID.randomUUID())
                .param("token", tokenSha256)
                .param("title", title)
                .param("description", description)
                .param("now", now.atOffset(ZoneOffset.UTC))
                .update();
    }

    void takeBack(Instant now) {
        jdbc.sql("update feed set taken_back_at = :now where taken_back_at is null")
                .param("now", now.atOffset(ZoneOffset.UTC))
                .update();
    }

    /** The newest first; projects that were deleted are out of it at once. */
    List<FeedItem> items() {
        return jdbc.sql("""
                select i.*, d.ordinal, d.project_id, p.name from feed_item i join delivery d on d.id = i.delivery_id
                join project p on p.id = d.project_id where p.deleted_at is null order by i.added_at desc, i.delivery_id""")
                .query((row, at) -> new FeedItem(
                        row.getObject("delivery_id", UUID.class),
                        row.getObject("project_id", UUID.class),
                        row.getString("name"),
                        row.getInt("ordinal"),
                        row.getDouble("seconds"),
                        instant(row.getObject("added_at", OffsetDateTime.class))))
                .list();
    }

    void put(UUID delivery, double seconds, Instant now) {
        jdbc.sql(
                        "insert into feed_item (delivery_id, seconds, added_at) values (:delivery, :seconds, :now) on conflict do nothing")
                .param("delivery", delivery)
                .param("seconds", seconds)
                .param("now", now.atOffset(ZoneOffset.UTC))
                .update();
    }

    void remove(UUID delivery) {
        jdbc.sql("delete from feed_item where delivery_id = :delivery")
                .param("delivery", delivery)
                .update();
    }

    private static Instant instant(OffsetDateTime time) {
        return time.toInstant();
    }
}
