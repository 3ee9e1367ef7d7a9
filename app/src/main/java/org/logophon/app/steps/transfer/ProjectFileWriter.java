package org.logophon.app.steps.transfer;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Consumer;
import java.util.zip.Deflater;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import javax.sound.sampled.AudioFileFormat;
import javax.sound.sampled.AudioFormat;
import javax.sound.sampled.AudioInputStream;
import javax.sound.sampled.AudioSystem;
import org.logophon.app.platform.audio.AudioStore;
import org.logophon.app.platform.audio.StoredSound;
import org.logophon.app.services.project.Project;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Isolation;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Writes a project as one file: what it is, its rows table by table, and its sounds. */
@Component
class ProjectFileWriter {

    /** Raised when an older reader would misunderstand what is written. */
    static final int FORMAT = 1;

    static final String MANIFEST = "logophon-project.json";
    static final String VOICES = "rows/house_voice.jsonl";
    private static final int BYTE = 8;
    /** Rows that are held at once. */
    private static final int FETCHED = 200;

    private final JdbcClient jdbc;
    private final AudioStore audio;
    private final SchemaVersion schema;
    private final JsonMapper json;

    ProjectFileWriter(JdbcClient jdbc, AudioStore audio, SchemaVersion schema, JsonMapper json) {
        this.jdbc = jdbc;
        this.audio = audio;
        this.schema = schema;
        this.json = json;
    }

    /** All of it as it is at one moment. */
    @Transactional(readOnly = true, isolation = Isolation.REPEATABLE_READ)
    public void write(Project project, OutputStream out) throws IOException {
        try (ZipOutputStream zip = new ZipOutputStream(out)) {
            zip.setLevel(Deflater.BEST_SPEED);
            zip.putNextEntry(new ZipEntry(MANIFEST));
            zip.write(json.writeValueAsBytes(
                    Map.of("format", FORMAT, "schema", schema.newest(), "name", project.name())));
            List<StoredSound> sounds = new ArrayList<>();
            for (ProjectTable table : ProjectTable.ALL) {
                rows(zip, table.entry(), table.name(), table.where(), project.id(), table.stays(), row -> {
                    if (table.name().equals(ProjectTable.SOUND)) {
                        JsonNode sound = json.readTree(row);
                        sounds.add(new StoredSound(
                                UUID.fromString(sound.get("id").asString()),
                                sound.get("sample_rate").asInt(),
                                sound.get("samples").asLong(),
                                sound.get("bits").asInt()));
                    }
                });
            }
            rows(
                    zip,
                    VOICES,
                    "house_voice",
                    "t.id in (select voice_id from role where project_id = :project)"
                            + " and t.workspace_id = (select workspace_id from project where id = :project)",
                    project.id(),
                    List.of("workspace_id"),
                    row -> {});
            for (StoredSound sound : sounds) {
                zip.putNextEntry(new ZipEntry(sound(sound.id())));
                wave(sound, zip);
            }
        }
    }

    /** Of a sound, as it stands in the file. */
    static String sound(UUID id) {
        return "sounds/" + id + ".wav";
    }

    private void rows(
            ZipOutputStream zip,
            String entry,
            String table,
            String where,
            UUID project,
            Iterable<String> stays,
            Consumer<String> told)
            throws IOException {
        zip.putNextEntry(new ZipEntry(entry));
        String leave = String.join(",", stays);
        try {
            jdbc.sql("select to_jsonb(t) - string_to_array(:leave, ',') from " + table + " t where " + where)
                    .withFetchSize(FETCHED)
                    .param("project", project)
                    .param("leave", leave)
                    .query(row -> {
                        line(zip, row.getString(1));
                        told.accept(row.getString(1));
                    });
        } catch (UncheckedIOException broken) {
            throw broken.getCause();
        }
    }

    private static void line(ZipOutputStream zip, String row) {
        try {
            zip.write((row + "\n").getBytes(StandardCharsets.UTF_8));
        } catch (IOException broken) {
            throw new UncheckedIOException(broken);
        }
    }

    private void wave(StoredSound sound, OutputStream out) throws IOException {
        AudioFormat format = new AudioFormat(
                AudioFormat.Encoding.PCM_SIGNED,
                sound.rate(),
                sound.bits(),
                1,
                sound.bits() / BYTE,
                sound.rate(),
                false);
        try (InputStream pcm = audio.pcm(sound)) {
            AudioSystem.write(new AudioInputStream(pcm, format, sound.samples()), AudioFileFormat.Type.WAVE, out);
        }
    }
}
