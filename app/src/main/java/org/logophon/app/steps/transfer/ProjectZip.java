package org.logophon.app.steps.transfer;

import java.io.BufferedReader;
import java.io.FilterInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.Reader;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.Enumeration;
import java.util.UUID;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipFile;
import org.logophon.app.platform.failure.Refused;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** A project's file, opened: nothing of it is larger than it says, or than any project can be. */
final class ProjectZip implements AutoCloseable {

    private static final int MOST_ENTRIES = 100_000;
    /** Of all rows together, unpacked. */
    private static final long MOST_ROW_CHARACTERS = 512L << 20;
    /** A project's own row has its script in it. */
    private static final int LONGEST_ROW = 16 << 20;

    private static final int LONGEST_MANIFEST = 1 << 16;

    private static final String NO_FILE = "This isn't an exported project. Its name would end in .project.zip.";
    private static final String NEWER =
            "This file was exported by a newer Logophon. Update this server, then import it.";
    private static final String BROKEN = "This file is broken: %s. Export the project again, and import that file.";

    private final ZipFile zip;
    private final JsonMapper json;
    private long characters;

    private ProjectZip(ZipFile zip, JsonMapper json) {
        this.zip = zip;
        this.json = json;
    }

    /** What is done with a row. */
    interface RowReader {

        void read(ImportedRow row) throws IOException;
    }

    /**
     * @param schema the newest migration here
     * @throws Refused with a sentence when it is no such file, or a newer one
     */
    static ProjectZip open(Path file, JsonMapper json, int schema) throws IOException {
        ZipFile zip;
        try {
            zip = new ZipFile(file.toFile());
        } catch (ZipException none) {
            throw new Refused(NO_FILE);
        }
        ProjectZip opened = new ProjectZip(zip, json);
        try {
            opened.check(schema);
            return opened;
        } catch (IOException | RuntimeException refused) {
            zip.close();
            throw refused;
        }
    }

    static Refused broken(String why) {
        return new Refused(BROKEN.formatted(why));
    }

    private void check(int schema) throws IOException {
        if (zip.size() > MOST_ENTRIES) {
            throw broken("it has more than " + MOST_ENTRIES + " parts");
        }
        ZipEntry manifest = zip.getEntry(ProjectFileWriter.MANIFEST);
        if (manifest == null) {
            throw new Refused(NO_FILE);
        }
        try (InputStream in = zip.getInputStream(manifest)) {
            JsonNode said = json.readTree(in.readNBytes(LONGEST_MANIFEST));
            if (!said.path("format").isInt() || !said.path("schema").isInt()) {
                throw new Refused(NO_FILE);
            }
            if (said.get("format").asInt() > ProjectFileWriter.FORMAT
                    || said.get("schema").asInt() > schema) {
                throw new Refused(NEWER);
            }
        } catch (JacksonException | ZipException none) {
            throw new Refused(NO_FILE);
        }
    }

    /** Bytes of everything in it, unpacked, as it says. */
    long declared() {
        long bytes = 0;
        for (Enumeration<? extends ZipEntry> all = zip.entries(); all.hasMoreElements(); ) {
            bytes += Math.max(0, all.nextElement().getSize());
        }
        return bytes;
    }

    /** Reads a file of rows, one after another; none when it isn't there. */
    void rows(String entry, RowReader reader) throws IOException {
        ZipEntry found = zip.getEntry(entry);
        if (found == null) {
            return;
        }
        int number = 0;
        try (Reader lines = new BufferedReader(
                new InputStreamReader(zip.getInputStream(found), StandardCharsets.UTF_8.newDecoder()))) {
            for (String line = line(lines); line != null; line = line(lines)) {
                number++;
                reader.read(row(entry, number, line));
            }
        } catch (CharacterCodingException none) {
            throw broken("line %d of %s can't be read".formatted(number + 1, entry));
        }
    }

    private ImportedRow row(String entry, int number, String line) {
        try {
            if (json.readTree(line) instanceof ObjectNode columns) {
                return new ImportedRow(entry, number, columns);
            }
        } catch (JacksonException none) {
            // said below
        }
        throw broken("line %d of %s can't be read".formatted(number, entry));
    }

    /** Null at the end. */
    private String line(Reader lines) throws IOException {
        StringBuilder line = new StringBuilder();
        int next = lines.read();
        if (next < 0) {
            return null;
        }
        for (; next >= 0 && next != '\n'; next = lines.read()) {
            line.append((char) next);
            if (line.length() > LONGEST_ROW || ++characters > MOST_ROW_CHARACTERS) {
                throw broken("it is larger than any project can be");
            }
        }
        return line.toString();
    }

    /** A sound's file, as long as it says and no longer. */
    InputStream sound(UUID id) throws IOException {
        ZipEntry entry = zip.getEntry(ProjectFileWriter.sound(id));
        if (entry == null) {
            throw broken("a sound is missing");
        }
        return new AsItSays(zip.getInputStream(entry), entry.getSize());
    }

    /** Ends when more comes than was said. */
    private static final class AsItSays extends FilterInputStream {

        private long left;

        AsItSays(InputStream in, long bytes) {
            super(in);
            this.left = bytes;
        }

        @Override
        public int read() throws IOException {
            int got = super.read();
            count(got < 0 ? 0 : 1);
            return got;
        }

        @Override
        public int read(byte[] block, int from, int length) throws IOException {
            int got = super.read(block, from, length);
            count(Math.max(0, got));
            return got;
        }

        private void count(int bytes) {
            left -= bytes;
            if (left < 0) {
                throw broken("a sound is larger than it says");
            }
        }
    }

    @Override
    public void close() throws IOException {
        zip.close();
    }
}
