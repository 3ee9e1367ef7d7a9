package org.logophon.documents;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.font.PDType1Font;
import org.apache.pdfbox.pdmodel.font.Standard14Fonts;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.logophon.core.text.script.Script;
import org.logophon.core.text.script.ScriptCue;

/** Pages as a browser prints them, and pages that are set line by line. */
class PdfFileTest {

    private static final List<String> PARAGRAPHS = List.of(
            "We got up early this morning because we wanted to see the sun come up over the water. It was still "
                    + "dark when we left the house, and several neighbours were asleep.",
            "My brother had made some coffee, and he gave me a cup in the car.",
            "After an hour we came to the beach and sat down to wait. There was nobody there except an old man with a "
                    + "well-known dog, who remembered everything about the railroad.");

    private static List<String> cues(OpenedDocument opened) {
        return Script.parse(opened.script()).cues().stream()
                .map(ScriptCue::text)
                .toList();
    }

    /** @param style of the paragraphs */
    private static OpenedDocument printed(Path folder, String style, int times) throws Exception {
        StringBuilder html = new StringBuilder("<!doctype html><html lang=en><title>Log of Skerrow</title><style>"
                + "body { font: 12pt serif; } p { hyphens: auto; text-align: justify; margin: 0 } " + style
                + "</style><body><h1>The lamp</h1><div>");
        for (int i = 0; i < times; i++) {
            PARAGRAPHS.forEach(one -> html.append("<p>").append(one).append("</p>"));
        }
        Path page = Files.writeString(folder.resolve("page.html"), html.append("</div>"));
        Path pdf = folder.resolve("page.pdf");
        Process browser = new ProcessBuilder(
                        "chromium-headless-shell",
                        "--no-sandbox",
                        "--disable-gpu",
                        "--user-data-dir=" + folder.resolve("profile"),
                        "--print-to-pdf=" + pdf,
                        page.toUri().toString())
                .redirectErrorStream(true)
                .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                .start();
        assertThat(browser.waitFor(300, TimeUnit.SECONDS)).isTrue();
        return Documents.open("page.pdf", Files.readAllBytes(pdf), Map.of());
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "div { width: 6cm } p { text-indent: 1.5em }",
                "div { width: 6cm } p { margin-bottom: 1em }",
                "div { columns: 2 } p { text-indent: 1.5em }"
            })
    void aBrowsersPageIsReadAsAReaderSeesIt(String style, @TempDir Path folder) throws Exception {
        OpenedDocument opened = printed(folder, style, 1);
        assertThat(opened.script()).startsWith("# The lamp\n");
        assertThat(cues(opened)).containsExactlyElementsOf(PARAGRAPHS);
    }

    @Test
    void headsAndFeetOfAllPagesAreLeftOutAndListed(@TempDir Path folder) throws Exception {
        OpenedDocument opened = printed(folder, "div { width: 6cm } p { margin-bottom: 1em }", 6);
        assertThat(opened.script()).doesNotContain("Log of Skerrow", "page.html", "1/");
        assertThat(cues(opened)).hasSize(18).endsWith(PARAGRAPHS.get(2));
        assertThat(opened.skipped().toString()).contains("headers or footers were left out");
    }

    /** Set line by line, as typesetters do: a hyphen may break a word, or be its own. */
    @Test
    void hyphensThatBreakAWordGoAndOthersStay() throws IOException {
        assertThat(cues(Documents.open(
                        "a.pdf",
                        lines("There were sev-", "eral well-", "known keepers, and a light-", "house."),
                        Map.of())))
                .containsExactly("There were several well-known keepers, and a lighthouse.");
    }

    @Test
    void aScreenplaysNamesStandOverTheirSpeech() throws IOException {
        byte[] pdf = lines("KEEPER: Fog till noon.", "DAUGHTER: Then the boat is late.");
        assertThat(Script.parse(Documents.open("a.pdf", pdf, Map.of()).script()).cues())
                .extracting(ScriptCue::role)
                .containsExactly("Keeper", "Daughter");
    }

    private static byte[] lines(String... lines) throws IOException {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (PDDocument document = new PDDocument()) {
            PDPage page = new PDPage();
            document.addPage(page);
            try (PDPageContentStream content = new PDPageContentStream(document, page)) {
                content.beginText();
                content.setFont(new PDType1Font(Standard14Fonts.FontName.HELVETICA), 12);
                content.setLeading(14);
                content.newLineAtOffset(72, 700);
                for (String line : lines) {
                    content.showText(line);
                    content.newLine();
                }
                content.endText();
            }
            document.save(bytes);
        }
        return bytes.toByteArray();
    }
}
