package org.logophon.app.moving;

import java.io.BufferedInputStream;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Enumeration;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipFile;
import javax.sound.sampled.AudioFormat;
import javax.sound.sampled.AudioInputStream;
import javax.sound.sampled.AudioSystem;
import javax.sound.sampled.UnsupportedAudioFileException;
import org.logophon.app.audio.AudioStore;
import org.logophon.app.disk.DiskRoom;
import org.logophon.app.project.CueRepository;
import org.logophon.app.project.Project;
import org.logophon.app.voices.HouseVoice;
import org.logophon.app.web.Refused;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.jdbc.BadSqlGrammarException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * Makes a project of a file, all of it or nothing. Nothing in the file is believed: what it names has to be in it, a sound has
 * to be what its name says, and the project is looked at as pages do before it stays.
 */
@Component
class ProjectFileReader {

    private static final int MOST_ENTRIES = 100_000;
    /** Of all rows together, unpacked. */
    private static final long MOST_ROW_BYTES = 512L << 20;

    private static final int AT_ONCE = 200;
    private static final String AGAIN = " (brought in)";
    private static final int LEAST_RATE = 8_000;
    private static final int MOST_RATE = 192_000;
    private static final Pattern ID = Pattern.compile("[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}");
    /** Columns that name another row. */
    private static final Set<String> REFERENCES = Set.of(
            "project_id",
            "cue_id",
            "take_id",
            "done_take",
            "delivery_id",
            "sound_file_id",
            "sound_id",
            "speech_id",
            "cleaned_from_id",
            "from_cue",
            "to_cue");

    private static final String NO_FILE =
            "This is no project that Logophon saved as a file. Such a file has .project.zip at the end of its name.";
    private static final String BROKEN =
            "This file is broken: %s. Save the project as a file once more, and bring that one in.";

    private final JdbcClient jdbc;
    private final CueRepository cues;
    private final AudioStore audio;
    private final DiskRoom room;
    private final Opened opened;
    private final JsonMapper json;
    private final TransactionTemplate transaction;

    ProjectFileReader(
            JdbcClient jdbc,
            CueRepository cues,
            AudioStore audio,
            DiskRoom room,
            Opened opened,
            JsonMapper json,
            TransactionTemplate transaction) {
        this.jdbc = jdbc;
        this.cues = cues;
        this.audio = audio;
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
        try (ZipFile zip = new ZipFile(file.toFile())) {
            if (zip.size() > MOST_ENTRIES) {
                throw broken("it has more than " + MOST_ENTRIES + " parts");
            }
            check(zip);
            room.need(declared(zip));
            return transaction.execute(status -> brought(zip, workspace));
        } catch (ZipException none) {
            throw new Refused(NO_FILE);
        } catch (DataIntegrityViolationException | BadSqlGrammarException unfit) {
            throw broken("some of its rows can't be");
        }
    }

    private void check(ZipFile zip) throws IOException {
        ZipEntry manifest = zip.getEntry(ProjectFileWriter.MANIFEST);
        if (manifest == null) {
            throw new Refused(NO_FILE);
        }
        try (InputStream in = zip.getInputStream(manifest)) {
            JsonNode said = json.readTree(in.readNBytes(1 << 16));
            if (!said.path("format").isInt() || !said.path("schema").isInt()) {
                throw new Refused(NO_FILE);
            }
            if (said.get("format").asInt() > ProjectFileWriter.FORMAT
                    || said.get("schema").asInt() > schema()) {
                throw new Refused(
                        "This file was saved by a newer Logophon than this one. Install the newer one here, and bring it in then.");
            }
        } catch (JacksonException none) {
            throw new Refused(NO_FILE);
        }
    }

    private int schema() {
        return jdbc.sql("select max(version::int) from flyway_schema_history where success and version is not null")
                .query(Integer.class)
                .single();
    }

    private static long declared(ZipFile zip) {
        long bytes = 0;
        for (Enumeration<? extends ZipEntry> all = zip.entries(); all.hasMoreElements(); ) {
            bytes += Math.max(0, all.nextElement().getSize());
        }
        return bytes;
    }

    private UUID brought(ZipFile zip, UUID workspace) {
        Names names = new Names();
        try {
            voices(zip, workspace, names);
            List<Kept> kept = new ArrayList<>();
            long bytes = 0;
            for (ProjectTable table : ProjectTable.ALL) {
                bytes = rows(zip, table, workspace, names, kept, bytes);
            }
            keep(kept, names);
        } catch (IOException e) {
            throw broken("a part of it can't be unpacked");
        }
        if (names.project == null) {
            throw broken("it has no project");
        }
        opened.look(names.project);
        return names.project;
    }

    private static Refused broken(String why) {
        return new Refused(BROKEN.formatted(why));
    }

    /** What things of the file are called here. */
    private static final class Names {

        final Map<String, String> here = new HashMap<>();
        /** All that came in with the file, by its id here: what a row names has to be among it. */
        final Set<String> come = new HashSet<>();

        UUID project;
    }

    /** Two of one name couldn't be told apart on the shelf. */
    private String name(String name, UUID workspace) {
        boolean there = jdbc.sql(
                        "select exists (select 1 from project where workspace_id = :workspace and name = :name and deleted_at is null)")
                .param("workspace", workspace)
                .param("name", name)
                .query(Boolean.class)
                .single();
        return there ? name.substring(0, Math.min(name.length(), Project.LONGEST_NAME - AGAIN.length())) + AGAIN : name;
    }

    /** @param take as the file names it */
    private record Kept(UUID cue, String take, String recipe) {}

    private void keep(List<Kept> kept, Names names) {
        for (Kept one : kept) {
            String take = names.here.get(one.take());
            if (take == null) {
                throw broken("something is missing that a row names");
            }
            cues.keep(one.cue(), UUID.fromString(take), one.recipe());
        }
    }

    private interface RowReader {
        void read(ObjectNode row) throws IOException;
    }

    /** @param bytes of rows so far @return with these */
    private long lines(ZipFile zip, String entry, long bytes, RowReader reader) throws IOException {
        ZipEntry found = zip.getEntry(entry);
        if (found == null) {
            return bytes;
        }
        long read = bytes;
        try (BufferedReader lines = new BufferedReader(
                new InputStreamReader(zip.getInputStream(found), StandardCharsets.UTF_8.newDecoder()))) {
            for (String line = lines.readLine(); line != null; line = lines.readLine()) {
                read += line.length();
                if (read > MOST_ROW_BYTES) {
                    throw broken("it is larger than any project can be");
                }
                if (!(json.readTree(line) instanceof ObjectNode row)) {
                    throw broken("a line of " + entry + " is no row");
                }
                reader.read(row);
            }
        } catch (JacksonException | CharacterCodingException none) {
            throw broken("a line of " + entry + " can't be read");
        }
        return read;
    }

    /** A voice of the house comes along, unless this workspace has the same one. */
    private void voices(ZipFile zip, UUID workspace, Names names) throws IOException {
        lines(zip, ProjectFileWriter.VOICES, 0, row -> {
            String id = row.path("id").asString("");
            String own = id.startsWith(HouseVoice.PREFIX) ? id.substring(HouseVoice.PREFIX.length()) : "";
            if (!ID.matcher(own).matches()) {
                throw broken("a voice has no id of its own");
            }
            boolean known = jdbc.sql("""
                    select exists (select 1 from house_voice v where v.id = :id and v.workspace_id = :workspace
                    and to_jsonb(v) @> cast(:row as jsonb) - 'changed_at')""")
                    .param("id", id)
                    .param("workspace", workspace)
                    .param("row", row.toString())
                    .query(Boolean.class)
                    .single();
            if (!known) {
                String here = UUID.randomUUID().toString();
                names.here.put(own, here);
                row.put("id", HouseVoice.PREFIX + here);
                row.put("workspace_id", workspace.toString());
                insert("house_voice", List.of(row));
            }
        });
    }

    private long rows(ZipFile zip, ProjectTable table, UUID workspace, Names names, List<Kept> kept, long bytes)
            throws IOException {
        List<ObjectNode> rows = new ArrayList<>();
        long read = lines(zip, table.entry(), bytes, row -> {
            row.remove(table.stays());
            if (table.owned()) {
                own(table, row, names);
            }
            ObjectNode renamed = renamed(row, names);
            switch (table.name()) {
                case "project" -> {
                    if (names.project != null) {
                        throw broken("it has more than one project");
                    }
                    names.project = UUID.fromString(renamed.get("id").asString());
                    renamed.put("workspace_id", workspace.toString());
                    renamed.put("name", name(renamed.path("name").asString(""), workspace));
                }
                case ProjectTable.SOUND -> {
                    sound(zip, row, names);
                    renamed.removeAll();
                }
                case "cue" -> {
                    // takes come after cues, and have their ids here then
                    JsonNode take = renamed.remove("kept_take");
                    if (take != null && !take.isNull()) {
                        kept.add(new Kept(
                                UUID.fromString(renamed.get("id").asString()),
                                take.asString(),
                                renamed.path("kept_recipe").asString(null)));
                    }
                }
                case "speech" -> speech(renamed, names);
                case "sound_file" -> renamed.put("project_id", String.valueOf(names.project));
                case "recording" -> {
                    if (!names.come.contains(renamed.path("cleaned_from_id").asString(""))) {
                        renamed.putNull("cleaned_from_id");
                    }
                }
                case "delivery" -> {
                    renamed.put("state", "moved");
                    renamed.put("problem", "made in another house: its files are where they were delivered");
                }
                default -> {}
            }
            if (renamed.isEmpty()) {
                return;
            }
            references(renamed, names);
            rows.add(renamed);
            if (rows.size() == AT_ONCE) {
                insert(table.name(), rows);
                rows.clear();
            }
        });
        insert(table.name(), rows);
        return read;
    }

    /** Gives a thing of the file another id, so that it can come in twice. */
    private static void own(ProjectTable table, ObjectNode row, Names names) {
        String id = row.path("id").asString("");
        String here = UUID.randomUUID().toString();
        if (!ID.matcher(id).matches() || names.here.put(id, here) != null) {
            throw broken("a row of " + table.name() + " has no id of its own");
        }
        names.come.add(here);
    }

    private ObjectNode renamed(ObjectNode row, Names names) {
        String text = ID.matcher(row.toString())
                .replaceAll(id -> Matcher.quoteReplacement(names.here.getOrDefault(id.group(), id.group())));
        return (ObjectNode) json.readTree(text);
    }

    /** Nothing of another project is named, whatever a file says. */
    private static void references(ObjectNode row, Names names) {
        for (String column : REFERENCES) {
            JsonNode to = row.path(column);
            if (!to.isMissingNode() && !to.isNull() && !names.come.contains(to.asString(""))) {
                throw broken("something is missing that a row names");
            }
        }
    }

    private void sound(ZipFile zip, ObjectNode row, Names names) throws IOException {
        String id = row.path("id").asString("");
        ZipEntry entry = ID.matcher(id).matches() ? zip.getEntry(ProjectFileWriter.sound(UUID.fromString(id))) : null;
        if (entry == null) {
            throw broken("a sound is missing");
        }
        try (AudioInputStream wave =
                AudioSystem.getAudioInputStream(new BufferedInputStream(zip.getInputStream(entry)))) {
            AudioFormat format = wave.getFormat();
            int bits = format.getSampleSizeInBits();
            int rate = Math.round(format.getSampleRate());
            if (format.getChannels() != 1
                    || format.isBigEndian()
                    || bits != 16 && bits != 24
                    || rate < LEAST_RATE
                    || rate > MOST_RATE) {
                throw broken("a sound is none that Logophon makes");
            }
            String here = audio.store(wave, rate, bits).id().toString();
            names.here.put(id, here);
            names.come.add(here);
        } catch (UnsupportedAudioFileException none) {
            throw broken("a sound can't be read");
        }
    }

    /**
     * A speech that is here already, by the same sound, is the same speech. Another isn't found by its recipe: what others
     * render is never taken from a file.
     */
    private void speech(ObjectNode row, Names names) {
        String id = row.path("id").asString("");
        String sound = row.path("sound_id").asString("");
        if (!ID.matcher(id).matches() || !names.come.contains(sound)) {
            throw broken("a speech has no sound");
        }
        Optional<String> known = jdbc.sql(
                        "select id::text from speech where sound_id = cast(:sound as uuid) and (id = cast(:id as uuid) or recipe = :recipe) limit 1")
                .param("sound", sound)
                .param("id", id)
                .param("recipe", row.path("recipe").asString(null))
                .query(String.class)
                .optional();
        if (known.isPresent()) {
            names.here.put(id, known.get());
            names.come.add(known.get());
            row.removeAll();
            return;
        }
        boolean taken = jdbc.sql("select exists (select 1 from speech where id = cast(:id as uuid))")
                .param("id", id)
                .query(Boolean.class)
                .single();
        String here = taken ? UUID.randomUUID().toString() : id;
        names.here.put(id, here);
        names.come.add(here);
        row.put("id", here);
        row.putNull("recipe");
    }

    /** Columns that the tables have here: what an older or a stranger file says beside them is left out. */
    private void insert(String table, List<ObjectNode> rows) {
        if (rows.isEmpty()) {
            return;
        }
        List<String> columns = jdbc
                .sql(
                        "select column_name from information_schema.columns where table_schema = 'public' and table_name = :table order by ordinal_position")
                .param("table", table)
                .query(String.class)
                .list()
                .stream()
                .filter(column -> rows.get(0).has(column))
                .toList();
        String names = String.join(", ", columns);
        jdbc.sql("insert into %1$s (%2$s) select %2$s from jsonb_populate_recordset(null::%1$s, cast(:rows as jsonb))"
                        .formatted(table, names))
                .param("rows", rows.toString())
                .update();
    }
}
