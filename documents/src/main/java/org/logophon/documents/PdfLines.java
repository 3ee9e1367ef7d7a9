package org.logophon.documents;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.apache.pdfbox.text.TextPosition;

/** The lines of a PDF as they stand on its pages, in the order in which they were set: column after column. */
final class PdfLines extends PDFTextStripper {

    /**
     * A line.
     *
     * @param left  in points from the page's left edge, to {@code right}
     * @param down  of its baseline, from the page's upper edge
     * @param size  of its type
     */
    record Line(int page, float left, float right, float down, float size, String text) {

        boolean endsSentence() {
            return text.matches("(?s).*[.!?…:][\"'”’»)]*");
        }
    }

    private final int mostCharacters;
    private final List<Line> lines = new ArrayList<>();
    private final StringBuilder text = new StringBuilder();
    private int characters;
    private float left;
    private float right;
    private float down;
    private float size;

    private PdfLines(int mostCharacters) {
        this.mostCharacters = mostCharacters;
        setSuppressDuplicateOverlappingText(true);
    }

    /** @throws DocumentUnusable for more text than that */
    static List<Line> of(PDDocument document, int mostCharacters) throws IOException {
        PdfLines stripper = new PdfLines(mostCharacters);
        stripper.getText(document);
        return List.copyOf(stripper.lines);
    }

    @Override
    protected void writeString(String word, List<TextPosition> positions) {
        if (!positions.isEmpty()) {
            TextPosition first = positions.get(0);
            TextPosition last = positions.get(positions.size() - 1);
            if (text.isEmpty()) {
                left = first.getXDirAdj();
                down = first.getYDirAdj();
                size = first.getFontSizeInPt();
            }
            right = last.getXDirAdj() + last.getWidthDirAdj();
        }
        text.append(word);
        characters += word.length();
        if (characters > mostCharacters) {
            throw new DocumentUnusable("This document holds more text than any script. Split it into several.");
        }
    }

    @Override
    protected void writeWordSeparator() {
        text.append(' ');
    }

    @Override
    protected void writeLineSeparator() {
        close();
    }

    @Override
    protected void writeParagraphSeparator() {
        close();
    }

    @Override
    protected void writePageEnd() {
        close();
    }

    private void close() {
        String words = text.toString().replaceAll("[\\s\u00A0]+", " ").strip();
        if (!words.isEmpty()) {
            lines.add(new Line(getCurrentPageNo(), left, right, down, size, words));
        }
        text.setLength(0);
    }
}
