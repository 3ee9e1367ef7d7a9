package org.logophon.app.platform.people;

import static org.logophon.app.platform.table.Columns.time;
import static org.logophon.app.platform.table.Columns.uuid;

import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Tables {@code person} and {@code sign_in_try}. */
@Repository
class PersonRepository {

    private final JdbcClient jdbc;

    PersonRepository(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** @param phrase as bcrypt makes it */
    record Kept(Person person, String phrase) {}

    /** @param waitUntil null where nobody waits */
    record Tries(int wrong, Instant waitUntil) {

        static final Tries NONE = new Tries(0, null);
    }

    Optional<Person> find(UUID id) {
        return jdbc.sql("select id, name from person where id = :id")
                .param("id", id)
                .query(Person.class)
                .optional();
    }

    Optional<Kept> named(String name) {
        return kept("name_key = :of", PersonName.key(name));
    }

    Optional<Kept> kept(UUID id) {
        return kept("id = :of", id);
    }

    private Optional<Kept> kept(String which, Object of) {
        return jdbc.sql("select id, name, phrase from person where " + which)
                .param("of", of)
                .query((row, at) ->
                        new Kept(new Person(uuid(row, "id"), row.getString("name")), row.getString("phrase")))
                .optional();
    }

    /** @return empty when the name is somebody else's */
    Optional<Person> add(String name, String phrase, Instant now) {
        UUID id = UUID.randomUUID();
        try {
            jdbc.sql("insert into person (id, name, name_key, phrase, made_at) values (:id, :name, "
                            + ":key, :phrase, :now)")
                    .param("id", id)
                    .param("name", name)
                    .param("key", PersonName.key(name))
                    .param("phrase", phrase)
                    .param("now", time(now))
                    .update();
        } catch (DuplicateKeyException taken) {
            return Optional.empty();
        }
        return Optional.of(new Person(id, name));
    }

    void setPhrase(UUID id, String phrase) {
        jdbc.sql("update person set phrase = :phrase where id = :id")
                .param("phrase", phrase)
                .param("id", id)
                .update();
    }

    Tries tries(String nameSha256) {
        return jdbc.sql("select wrong, wait_until from sign_in_try where name_sha256 = :name")
                .param("name", nameSha256)
                .query(Tries.class)
                .optional()
                .orElse(Tries.NONE);
    }

    /** Counts a try. @return false when somebody else tried meanwhile */
    boolean tried(String nameSha256, int before, int wrong, Instant waitUntil, Instant now) {
        return jdbc.sql("""
                insert into sign_in_try as t (name_sha256, wrong, wait_until, at) values (:name, :wrong, :until, :now)
                on conflict (name_sha256) do update set wrong = excluded.wrong,
                wait_until = excluded.wait_until, at = excluded.at
                where t.wrong = :before""")
                        .param("name", nameSha256)
                        .param("before", before)
                        .param("wrong", wrong)
                        .param("until", time(waitUntil))
                        .param("now", time(now))
                        .update()
                == 1;
    }

    void forgive(String nameSha256) {
        jdbc.sql("delete from sign_in_try where name_sha256 = :name")
                .param("name", nameSha256)
                .update();
    }

    /** Tries from before, whoever made them. */
    void forgetTries(Instant before) {
        jdbc.sql("delete from sign_in_try where at < :before")
                .param("before", time(before))
                .update();
    }
}
