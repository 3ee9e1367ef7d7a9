package org.logophon.documents;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import org.logophon.core.text.script.Script;

/** Opens files as scripts: tells the format by what is in the file, and by its ending only among kinds of text. */
public final class Documents {

    /** No script is larger; pictures in a document may make it so. */
    public static final int MOST_BYTES = 30 << 20;

    /** Text of the greatest length has at most four bytes a character, whatever its encoding. */
    private static final int MOST_TEXT_BYTES = 4 * Script.MOST_CHARACTERS;

    private static final Set<String> TAKEN_APART =
            Set.of(".md", ".markdown", ".csv", ".tsv", ".srt", ".vtt", ".htm", ".html", ".xhtml", ".ssml", ".xml");

    private Documents() {}

    /**
     * Opens one file.
     *
     * @param columns for CSV: what to take (number, role, text, in, out) to index of column; empty to go by the header
     * @throws DocumentUnusable with a sentence when it can't be a script
     */
    public static OpenedDocument open(String fileName, byte[] bytes, Map<String, Integer> columns) {
        refuseSize(fileName, bytes);
        OpenedDocument opened = read(fileName, bytes, columns);
        if (opened.script().isBlank()) {
            throw new DocumentUnusable(fileName + " has nothing to speak"
                    + (opened.skipped().isEmpty() ? "." : ": " + String.join(" ", opened.skipped()))
                    + (opened.format().startsWith("PDF")
                            ? " A scanned page is a picture; its words must be recognised first."
                            : ""));
        }
        if (opened.script().length() > Script.MOST_CHARACTERS) {
            throw tooLong(fileName);
        }
        return opened;
    }

    public static void refuseSize(String fileName, byte[] bytes) {
        if (bytes.length == 0) {
            throw new DocumentUnusable(fileName + " is empty. Give a file with words in it.");
        }
        if (bytes.length > MOST_BYTES) {
            throw new DocumentUnusable(
                    fileName + " is over " + (MOST_BYTES >> 20) + " MB. Remove the pictures, or save it as text.");
        }
        if (bytes.length > MOST_TEXT_BYTES && !packed(bytes) && !start(bytes).startsWith("<")) {
            throw tooLong(fileName);
        }
    }

    private static DocumentUnusable tooLong(String fileName) {
        return new DocumentUnusable("%s has over %,d characters, and a project holds no more. Make several files of it."
                .formatted(fileName, Script.MOST_CHARACTERS));
    }

    /** True for what is opened without taking anything apart. */
    public static boolean plainText(String fileName, byte[] bytes) {
        String start = start(bytes);
        String ending = fileName.substring(withoutEnding(fileName).length()).toLowerCase(Locale.ROOT);
        return !packed(bytes)
                && !start.startsWith("<")
                && !start.startsWith("WEBVTT")
                && !TAKEN_APART.contains(ending)
                && !CaptionFile.looksLikeCaptions(start);
    }

    private static String start(byte[] bytes) {
        return new String(bytes, 0, Math.min(bytes.length, 1024), StandardCharsets.ISO_8859_1)
                .replace("\0", "")
                .replaceFirst("^(\u00EF\u00BB\u00BF|\u00FF\u00FE|\u00FE\u00FF)", "")
                .stripLeading();
    }

    private static boolean packed(byte[] bytes) {
        String start = new String(bytes, 0, Math.min(bytes.length, 1024), StandardCharsets.ISO_8859_1).stripLeading();
        return start.startsWith("%PDF-")
                || start.startsWith("PK\3\4")
                || start.startsWith("{\\rtf")
                || start.startsWith("\u00D0\u00CF\u0011\u00E0");
    }

    private static OpenedDocument read(String fileName, byte[] bytes, Map<String, Integer> columns) {
        String name = withoutEnding(fileName);
        String start = new String(bytes, 0, Math.min(bytes.length, 1024), StandardCharsets.ISO_8859_1).stripLeading();
        String ending = fileName.substring(name.length()).toLowerCase(Locale.ROOT);
        if (packed(bytes)) {
            return OfficeFile.read(fileName, name, bytes, start);
        }
        TextFile file = TextFile.of(bytes, fileName);
        String text = file.text();
        String head = text.stripLeading();
        List<String> remarks = new ArrayList<>(file.remarks());
        if (head.startsWith("WEBVTT") || CaptionFile.looksLikeCaptions(head)) {
            return CaptionFile.read(name, text, remarks);
        }
        if (head.startsWith("<")) {
            String lower = head.substring(0, Math.min(head.length(), 2000)).toLowerCase(Locale.ROOT);
            if (lower.contains("<speak")) {
                return SsmlFile.read(fileName, name, text, remarks);
            }
            if (lower.contains("<html")
                    || lower.contains("<!doctype html")
                    || lower.contains("<body")
                    || lower.contains("<p>")
                    || ending.startsWith(".htm")) {
                return HtmlFile.read(name, text, remarks);
            }
            if (lower.startsWith("<?xml") || lower.startsWith("<!doctype")) {
                throw new DocumentUnusable(
                        fileName + " is XML of a kind that is no script. Give SSML, HTML, or a text.");
            }
        }
        if (List.of(".docx", ".doc", ".odt", ".rtf", ".pdf").contains(ending)) {
            remarks.add("It is named " + ending + ", but it is plain text, and was read as that.");
        }
        return switch (ending) {
            case ".csv", ".tsv" -> CsvFile.read(fileName, name, text, columns, remarks);
            case ".md", ".markdown" -> MarkdownFile.read(name, text, remarks);
            default ->
                OpenedDocument.ofText(
                        name, "plain text", text.replace("\r\n", "\n").replace('\r', '\n'), remarks);
        };
    }

    private static String withoutEnding(String fileName) {
        int dot = fileName.lastIndexOf('.');
        return dot > 0 ? fileName.substring(0, dot) : fileName;
    }
}
