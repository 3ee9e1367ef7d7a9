package org.logophon.core.delivery;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.logophon.core.input.InvalidInput;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;

/**
 * What a delivery holds, file by file ({@code delivery.json}), and what has become of each since an earlier one.
 *
 * @param version of this format
 */
public record Manifest(int version, String title, List<Entry> files) {

    public static final String FILE = "delivery.json";

    private static final int VERSION = 1;

    private static final JsonMapper JSON = JsonMapper.builder()
            .enable(SerializationFeature.INDENT_OUTPUT)
            .disable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
            .disable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
            .build();

    /**
     * A file.
     *
     * @param path    in the delivery, with slashes
     * @param bytes   of it; 0 for one that is gone
     * @param sha256  of it, hexadecimal; empty for one that is gone
     * @param cue     number of the cue that it is of; empty for what is of several
     * @param change  {@code new}, {@code changed}, {@code moved}, {@code same} or {@code gone}, against the earlier
     *                delivery
     * @param why     what has changed: {@code words}, {@code voice}, {@code sound} (or which of it, where that is
     *                known: {@code direction}, {@code loudness}, {@code format}), {@code content} of what is no clip,
     *                {@code name}; empty for nothing
     * @param said    digest of the words of its cue
     * @param voice   of its cue
     * @param content digest of it without its place in time: a clip that has only moved has the same
     * @param start   of its clip in the programme, in samples at 48 kHz; −1 for what is no clip
     */
    public record Entry(
            String path,
            long bytes,
            String sha256,
            String cue,
            String change,
            String why,
            String said,
            String voice,
            String content,
            long start) {

        public Entry {
            // a file from elsewhere may leave any of them out
            path = path == null ? "" : path;
            sha256 = sha256 == null ? "" : sha256;
            cue = cue == null ? "" : cue;
            change = change == null ? "" : change;
            why = why == null ? "" : why;
            said = said == null ? "" : said;
            voice = voice == null ? "" : voice;
            content = content == null ? sha256 : content;
        }

        /** The same for another reason. */
        public Entry because(String reason) {
            return with(change, reason);
        }

        Entry with(String changed, String reason) {
            return new Entry(path, bytes, sha256, cue, changed, reason, said, voice, content, start);
        }
    }

    public Manifest {
        files = List.copyOf(files);
    }

    /** A first delivery: all of it is new. */
    public static Manifest first(String title, List<Entry> files) {
        return new Manifest(
                VERSION, title, files.stream().map(file -> file.with("new", "")).toList());
    }

    /** The same files, each with what has become of it, and those that are gone. */
    public Manifest since(Manifest earlier) {
        Map<String, Entry> byCue = new HashMap<>();
        Map<String, Entry> byPath = new HashMap<>();
        for (Entry file : earlier.files) {
            if (!file.change().equals("gone")) {
                (file.cue().isEmpty() ? byPath : byCue).put(file.cue().isEmpty() ? file.path() : file.cue(), file);
            }
        }
        List<Entry> told = new ArrayList<>();
        for (Entry file : files) {
            Entry before = file.cue().isEmpty() ? byPath.remove(file.path()) : byCue.remove(file.cue());
            told.add(file.with(change(file, before), before == null ? "" : why(file, before)));
        }
        for (Entry file : earlier.files) {
            if (byCue.containsValue(file) || byPath.containsValue(file)) {
                told.add(new Entry(
                        file.path(), 0, "", file.cue(), "gone", "", file.said(), file.voice(), "", file.start()));
            }
        }
        return new Manifest(VERSION, title, told);
    }

    private static String change(Entry file, Entry before) {
        if (before == null) {
            return "new";
        }
        if (!why(file, before).isEmpty()) {
            return "changed";
        }
        return file.start() == before.start() ? "same" : "moved";
    }

    private static String why(Entry file, Entry before) {
        if (!file.said().equals(before.said())) {
            return "words";
        }
        if (!file.voice().equals(before.voice())) {
            return "voice";
        }
        if (!file.content().equals(before.content())) {
            return file.cue().isEmpty() ? "content" : "sound";
        }
        return file.path().equals(before.path()) ? "" : "name";
    }

    public String json() {
        return JSON.writeValueAsString(this);
    }

    /** @throws InvalidInput with a sentence when it is none */
    public static Manifest read(String json) {
        try {
            return JSON.readValue(json, Manifest.class);
        } catch (JacksonException | NullPointerException broken) {
            throw new InvalidInput("That " + FILE + " can't be read. Choose the folder of an earlier delivery.");
        }
    }
}
