package org.logophon.documents;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/** Opens files as scripts: tells the format by what is in the file, and by its ending only among kinds of text. */
public final class Documents {

    /** No script is larger; pictures in a document may make it so. */
    public static final int MOST_BYTES = 30 << 20;

    private Documents() {}

    /**
     * Opens one file.
     *
     * @param columns for CSV: what to take (number, role, text, in, out) to index of column; empty to go by the header
     * @throws DocumentUnusable with a sentence when it can't be a script
     */
    public static OpenedDocument open(String fileName, byte[] bytes, Map<String, Integer> columns) {
        if (bytes.length == 0) {
            throw new DocumentUnusable(fileName + " is empty. Give a file with words in it.");
        }
        if (bytes.length > MOST_BYTES) {
            throw new DocumentUnusable(fileName + " is over " + (MOST_BYTES >> 20)
                    + " MB, which no script is. Take the pictures out, or save it as text.");
        }
        OpenedDocument opened = read(fileName, bytes, columns);
        if (opened.script().isBlank()) {
            throw new DocumentUnusable(fileName + " has nothing to speak"
                    + (opened.skipped().isEmpty() ? "." : ": " + String.join(" ", opened.skipped()))
                    + (opened.format().startsWith("PDF")
                            ? " A scanned page is a picture; its words must be recognised first."
                            : ""));
        }
        return opened;
    }

    private static OpenedDocument read(String fileName, byte[] bytes, Map<String, Integer> columns) {
        String name = withoutEnding(fileName);
        String start = new String(bytes, 0, Math.min(bytes.length, 1024), StandardCharsets.ISO_8859_1).stripLeading();
        String ending = fileName.substring(name.length()).toLowerCase(Locale.ROOT);
        if (start.startsWith("%PDF-")
                || start.startsWith("PK\3\4")
                || start.startsWith("{\\rtf")
                || start.startsWith("\u00D0\u00CF\u0011\u00E0")) {
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
            if (lower.startsWith("<?xml")) {
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
