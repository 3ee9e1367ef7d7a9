package org.logophon.app.steps.transfer;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.zip.ZipException;
import org.logophon.app.platform.disk.DiskRoom;
import org.logophon.app.platform.failure.Refused;
import org.logophon.app.services.project.CueRepository;
import org.logophon.app.services.project.DistinctNumbers;
import org.logophon.app.services.project.Project;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.jdbc.BadSqlGrammarException;
import org.springframework.jdbc.UncategorizedSQLException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * Makes a project of a file, all of it or nothing. Nothing in the file is believed: what it names has to be in it, a
 * sound has to be what its name says, and the project is looked at as pages do before it stays.
 */
@Component
class ProjectFileReader {

    private static final int AT_ONCE = 200;
    private static final String AGAIN = " (imported)";

    private final JdbcClient jdbc;
    private final CueRepository cues;
    private final DistinctNumbers numbers;
    private final BroughtSound sounds;
    private final BroughtVoices voices;
    private final TableColumns tables;
    private final SchemaVersion schema;
    private final DiskRoom room;
    private final ImportedProjectCheck opened;
    private final JsonMapper json;
    private final TransactionTemplate transaction;

    ProjectFileReader(
            JdbcClient jdbc,
            CueRepository cues,
            DistinctNumbers numbers,
            BroughtSound sounds,
            BroughtVoices voices,
            TableColumns tables,
            SchemaVersion schema,
            DiskRoom room,
            ImportedProjectCheck opened,
            JsonMapper json,
            TransactionTemplate transaction) {
        this.jdbc = jdbc;
        this.cues = cues;
        this.numbers = numbers;
        this.sounds = sounds;
        this.voices = voices;
        this.tables = tables;
        this.schema = schema;
        this.room = room;
        this.opened = opened;
        this.json = json;
        this.transaction = transaction;
    }

    /**
     * @return the project that was made
     * @throws Refused with a sentence when the file is none, or broken, or newer than this application
     */
    UUID read(Path file, UUID workspace) throws IOException {
        try (ProjectZip zip = ProjectZip.open(file, json, schema.newest())) {
            room.need(zip.declared());
            return transaction.execute(status -> new Bringing(zip, workspace).project());
        } catch (DataIntegrityViolationException | BadSqlGrammarException | UncategorizedSQLException unfit) {
            throw ProjectZip.broken("some of its rows can't be");
        }
    }

    /** One file on its way in. */
    private final class Bringing {

        private final ProjectZip zip;
        private final UUID workspace;
        private final ImportedIds names = new ImportedIds(json);
        private final RowCheck check = new RowCheck(tables);
        private final List<Kept> kept = new ArrayList<>();
        private UUID project;

        Bringing(ProjectZip zip, UUID workspace) {
            this.zip = zip;
            this.workspace = workspace;
        }

        /** @param take as the file names it */
        private record Kept(UUID cue, String take, String recipe) {}

        UUID project() {
            try {
                names.own(voices.of(workspace));
                zip.rows(ProjectFileWriter.VOICES, row -> {
                    check.check(RowCheck.VOICES, row);
                    voices.bring(row.columns(), workspace, names)
                            .ifPresent(voice -> insert(RowCheck.VOICES.name(), List.of(voice)));
                });
                for (ProjectTable table : ProjectTable.ALL) {
                    rows(table);
                }
            } catch (ZipException damaged) {
                throw ProjectZip.broken("a part of it can't be unpacked");
            } catch (IOException e) {
                throw ProjectZip.broken("a part of it can't be read");
            }
            if (project == null) {
                throw ProjectZip.broken("it has no project");
            }
            numbers.settle(project, cue -> true);
            for (Kept one : kept) {
                UUID take = names.of(one.take())
                        .orElseThrow(() -> ProjectZip.broken("something is missing that a row names"));
                cues.keep(one.cue(), take, one.recipe());
            }
            opened.look(project);
            return project;
        }

        private void rows(ProjectTable table) throws IOException {
            List<ObjectNode> rows = new ArrayList<>();
            zip.rows(table.entry(), row -> {
                row.columns().remove(table.stays());
                check.check(table, row);
                if (table.owned()) {
                    names.own(table.name(), row.columns());
                }
                ObjectNode here = fit(table, row.columns(), names.renamed(row.columns()));
                if (here.isEmpty()) {
                    return;
                }
                names.check(here);
                rows.add(here);
                if (rows.size() == AT_ONCE) {
                    insert(table.name(), rows);
                    rows.clear();
                }
            });
            insert(table.name(), rows);
        }

        /** What tables have for themselves. @param here the row to insert @return it; empty for none */
        private ObjectNode fit(ProjectTable table, ObjectNode row, ObjectNode here) throws IOException {
            switch (table.name()) {
                case "project" -> {
                    if (project != null) {
                        throw ProjectZip.broken("it has more than one project");
                    }
                    project = UUID.fromString(here.get("id").asString());
                    here.put("workspace_id", workspace.toString());
                    here.put("name", name(here.path("name").asString("")));
                }
                case ProjectTable.SOUND -> {
                    sounds.store(zip, row, names);
                    here.removeAll();
                }
                case "cue" -> {
                    // takes come after cues, and have their ids here then
                    JsonNode take = here.remove("kept_take");
                    if (take != null && !take.isNull()) {
                        kept.add(new Kept(
                                UUID.fromString(here.get("id").asString()),
                                take.asString(),
                                here.path("kept_recipe").asString(null)));
                    }
                }
                case "speech" -> sounds.speech(here, names);
                case "sound_file" -> sounds.file(here, workspace, project, names);
                case "reading" -> here.put("project_id", String.valueOf(project));
                case "recording" -> {
                    if (!names.came(here.path("cleaned_from_id").asString(""))) {
                        here.putNull("cleaned_from_id");
                    }
                }
                case "delivery" -> {
                    here.put("state", "moved");
                    here.put("problem", "made in another house: its files are where they were delivered");
                }
                default -> {}
            }
            return here;
        }

        /** Two of one name couldn't be told apart on the shelf. */
        private String name(String name) {
            boolean there = jdbc.sql("select exists (select 1 from project where workspace_id = :workspace and name "
                            + "= :name and deleted_at is null)")
                    .param("workspace", workspace)
                    .param("name", name)
                    .query(Boolean.class)
                    .single();
            return there
                    ? name.substring(0, Math.min(name.length(), Project.LONGEST_NAME - AGAIN.length())) + AGAIN
                    : name;
        }
    }

    /** Columns that the tables have here: what an older or a stranger file says beside them is left out. */
    private void insert(String table, List<ObjectNode> rows) {
        if (rows.isEmpty()) {
            return;
        }
        List<String> columns = tables.of(table).keySet().stream()
                .filter(column -> rows.stream().anyMatch(row -> row.has(column)))
                .toList();
        String names = String.join(", ", columns);
        jdbc.sql("insert into %1$s (%2$s) select %2$s from jsonb_populate_recordset(null::%1$s, cast(:rows as jsonb))"
                        .formatted(table, names))
                .param("rows", rows.toString())
                .update();
    }
}
