package org.logophon.app.steps.transfer;

import java.io.BufferedInputStream;
import java.io.IOException;
import java.util.Optional;
import java.util.UUID;
import javax.sound.sampled.AudioFormat;
import javax.sound.sampled.AudioInputStream;
import javax.sound.sampled.AudioSystem;
import javax.sound.sampled.UnsupportedAudioFileException;
import org.logophon.app.platform.audio.AudioStore;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import tools.jackson.databind.node.ObjectNode;

/** Sounds and speeches of a file: each becomes what is here already, or another one. */
@Component
class BroughtSound {

    private static final int LEAST_RATE = 8_000;
    private static final int MOST_RATE = 192_000;

    private final JdbcClient jdbc;
    private final AudioStore audio;

    BroughtSound(JdbcClient jdbc, AudioStore audio) {
        this.jdbc = jdbc;
        this.audio = audio;
    }

    /** Stores the sound that a row is about. */
    void store(ProjectZip zip, ObjectNode row, ImportedIds names) throws IOException {
        UUID id = ImportedIds.id(row.path("id").asString(""), "a sound is missing");
        try (AudioInputStream wave = AudioSystem.getAudioInputStream(new BufferedInputStream(zip.sound(id)))) {
            AudioFormat format = wave.getFormat();
            int bits = format.getSampleSizeInBits();
            int rate = Math.round(format.getSampleRate());
            if (format.getChannels() != 1
                    || format.isBigEndian()
                    || bits != 16 && bits != 24
                    || rate < LEAST_RATE
                    || rate > MOST_RATE) {
                throw ProjectZip.broken("a sound is none that Logophon makes");
            }
            names.become(id, audio.store(wave, rate, bits).id());
        } catch (UnsupportedAudioFileException none) {
            throw ProjectZip.broken("a sound can't be read");
        }
    }

    /**
     * A speech that is here already, by the same sound, is the same speech. Another isn't found by its recipe: what
     * others render is never taken from a file.
     *
     * @param row becomes the row to insert; empty for none
     */
    void speech(ObjectNode row, ImportedIds names) {
        String none = "a speech has no sound";
        UUID id = ImportedIds.id(row.path("id").asString(""), none);
        UUID sound = ImportedIds.id(row.path("sound_id").asString(""), none);
        if (!names.came(sound.toString())) {
            throw ProjectZip.broken(none);
        }
        Optional<UUID> known = jdbc.sql(
                        "select id from speech where sound_id = :sound and (id = :id or recipe = :recipe) limit 1")
                .param("sound", sound)
                .param("id", id)
                .param("recipe", row.path("recipe").asString(null))
                .query(UUID.class)
                .optional();
        if (known.isPresent()) {
            names.become(id, known.get());
            row.removeAll();
            return;
        }
        boolean taken = jdbc.sql("select exists (select 1 from speech where id = :id)")
                .param("id", id)
                .query(Boolean.class)
                .single();
        UUID here = taken ? UUID.randomUUID() : id;
        names.become(id, here);
        row.put("id", here.toString());
        row.putNull("recipe");
    }

    /**
     * A sound file of the project is the importing workspace's; one that comes with Logophon is the one that is here.
     *
     * @param row becomes the row to insert; empty for none
     */
    void file(ObjectNode row, UUID workspace, UUID project, ImportedIds names) {
        UUID id = UUID.fromString(row.get("id").asString());
        Optional<UUID> shipped = jdbc.sql("""
                select id from sound_file where workspace_id is null and project_id is null and name = :name
                and cast(sound_id as text) = :sound limit 1""")
                .param("name", row.path("name").asString(""))
                .param("sound", row.path("sound_id").asString(""))
                .query(UUID.class)
                .optional();
        if (shipped.isPresent()) {
            names.again(id, shipped.get());
            row.removeAll();
            return;
        }
        row.put("workspace_id", workspace.toString());
        row.put("project_id", project.toString());
    }
}
