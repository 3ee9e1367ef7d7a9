package org.logophon.app.platform.people;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.UUID;
import javax.sql.DataSource;
import org.flywaydb.core.Flyway;
import org.junit.jupiter.api.Test;
import org.logophon.app.OtherDatabase;
import org.springframework.jdbc.core.JdbcTemplate;

/** What later migrations mend of what is there, from the last version before them. */
class LaterMigrationsTest {

    private static void migrate(DataSource source, String target) {
        Flyway.configure()
                .dataSource(source)
                .javaMigrations(new V31__person_name_keys())
                .target(target)
                .load()
                .migrate();
    }

    @Test
    void importedSoundsBelongToTheirProjectsWorkspaceAndNamesThatLookAlikeAreTold() {
        DataSource source = OtherDatabase.create("mended").source();
        JdbcTemplate jdbc = new JdbcTemplate(source);
        migrate(source, "27");
        UUID workspace = UUID.randomUUID();
        UUID project = UUID.randomUUID();
        UUID sound = UUID.randomUUID();
        jdbc.update("insert into workspace (id, name) values (?, 'Beside')", workspace);
        jdbc.update(
                "insert into project (id, workspace_id, name, language, name_pattern, created_at, "
                        + "changed_at) values (?, ?, 'Fog', 'en-GB', '{number}', now(), now())",
                project,
                workspace);
        jdbc.update("insert into sound (id, sample_rate, stored_at) values (?, 48000, now())", sound);
        for (String name : new String[] {"Bell", "Room tone"}) {
            jdbc.update(
                    "insert into sound_file (id, project_id, name, licence, sound_id, from_sample, "
                            + "to_sample, made_at) values (gen_random_uuid(), ?, ?, '', ?, 0, 9, now())",
                    name.equals("Bell") ? project : null,
                    name,
                    sound);
        }
        // an а of Cyrillic in the second
        for (String name : new String[] {"Morwenna", "Morwenn\u0430", "Ffion"}) {
            jdbc.update(
                    "insert into person (id, name, name_key, phrase, made_at) values (gen_random_uuid(), "
                            + "?, ?, '', now())",
                    name,
                    name.toLowerCase(java.util.Locale.ROOT));
        }
        migrate(source, "latest");
        assertThat(jdbc.queryForList("select workspace_id from sound_file where name = 'Bell'", UUID.class))
                .containsExactly(workspace);
        assertThat(jdbc.queryForList("select workspace_id from sound_file where name = 'Room tone'", UUID.class))
                .as("what comes with Logophon stays everybody's")
                .containsExactly((UUID) null);
        assertThat(jdbc.queryForList(
                        "select name from person where name_key = ?", String.class, PersonName.key("MORWENNA")))
                .as("who came first has the name")
                .containsExactly("Morwenna");
        assertThat(jdbc.queryForList(
                        "select name from person where name_key = ?", String.class, PersonName.key("ffion")))
                .containsExactly("Ffion");
    }
}
