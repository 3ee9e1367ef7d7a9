package org.logophon.documents.worker;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDResources;
import org.apache.pdfbox.pdmodel.common.PDStream;
import org.apache.pdfbox.pdmodel.font.PDType1Font;
import org.apache.pdfbox.pdmodel.font.Standard14Fonts;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.logophon.core.text.script.Script;
import org.logophon.documents.DocumentUnusable;
import org.logophon.documents.Documents;
import org.logophon.documents.OpenedDocument;

/** Documents are opened in a process of their own, and what they are made to do stays there. */
class DocumentOpenerTest {

    private static final String SSML = """
            <speak version="1.1" xmlns="http://www.w3.org/2001/10/synthesis" xml:lang="en-GB"><p>Fog <prosody rate="80%"
            pitch="-2st">till noon</prosody>, <break time="400ms"/>and <emphasis level="strong">then</emphasis>
            <sub alias="two tonnes">2 t</sub> of it.</p><p><voice name="marnie">Wind</voice> <mark name="here"/>north.</p></speak>
            """;

    private static void refused(String name, byte[] bytes, String sentence) {
        assertThatThrownBy(() -> DocumentOpener.open(name, bytes, Map.of()))
                .as(name)
                .isInstanceOf(DocumentUnusable.class)
                .hasMessageContaining(sentence)
                .hasMessageStartingWith(name);
    }

    @ParameterizedTest
    @CsvSource({"a.md, '# One\n\nKEEPER: **Fog** till noon.'", "a.txt, Fog till noon.", "a.htm, <p>Fog till noon.</p>"})
    void theScriptIsTheOneThatTheFormatGives(String name, String text) {
        byte[] bytes = text.getBytes(StandardCharsets.UTF_8);
        assertThat(DocumentOpener.open(name, bytes, Map.of())).isEqualTo(Documents.open(name, bytes, Map.of()));
    }

    @Test
    void marksReadingsAndColumnsComeAlong() {
        byte[] ssml = SSML.getBytes(StandardCharsets.UTF_8);
        OpenedDocument opened = DocumentOpener.open("a.ssml", ssml, Map.of());
        assertThat(opened).isEqualTo(Documents.open("a.ssml", ssml, Map.of()));
        assertThat(opened.directed()).hasSize(2);
        byte[] table = "id,line\n7,Fog till noon.\n".getBytes(StandardCharsets.UTF_8);
        Map<String, Integer> columns = Map.of("text", 1, "number", 0);
        assertThat(DocumentOpener.open("a.csv", table, columns)).isEqualTo(Documents.open("a.csv", table, columns));
        assertThat(DocumentOpener.open("a.csv", table, columns).numbers()).containsExactly("7");
    }

    @Test
    void aRefusalIsTheSameSentence() {
        refused("a.ssml", "<speak><p>Fog</speak>".getBytes(StandardCharsets.UTF_8), "no well-formed SSML");
        refused("broken.pdf", "%PDF-1.7 and nothing more".getBytes(StandardCharsets.US_ASCII), "damaged");
    }

    /** A page of some hundred kilobytes that unpacks to a hundred megabytes of strings. */
    @Test
    void aPdfThatUnpacksToMoreThanMemoryEndsInASentence() throws IOException {
        byte[] pdf = pdfBomb(100 << 20);
        assertThat(pdf.length).isLessThan(1 << 20);
        long before = used();
        // which limit it meets first, memory, time or the length of what it holds, is a matter of the machine
        assertThatThrownBy(() -> DocumentOpener.open("bomb.pdf", pdf, Map.of()))
                .isInstanceOf(DocumentUnusable.class)
                .hasMessageMatching("bomb.pdf .*\\. (Save it as plain text|Open a part of it)\\.");
        assertThat(used() - before).as("bytes that it took here").isLessThan(64L << 20);
    }

    private static long used() {
        Runtime runtime = Runtime.getRuntime();
        return runtime.totalMemory() - runtime.freeMemory();
    }

    @Test
    void textOverTheGreatestLengthIsRefusedOnItsLength() {
        refused(
                "ten.txt",
                "Fog till noon. ".repeat(700_000).getBytes(StandardCharsets.UTF_8),
                "over 2,000,000 characters");
        refused("three.txt", "Fog till noon. ".repeat(200_000).getBytes(StandardCharsets.UTF_8), "over 2,000,000");
        refused("wide.txt", "Fog till noon. ".repeat(140_000).getBytes(StandardCharsets.UTF_16), "over 2,000,000");
        refused("three.md", "Fog till noon. ".repeat(200_000).getBytes(StandardCharsets.UTF_8), "over 2,000,000");
        String most = "Fog.\n".repeat(Script.MOST_CHARACTERS / 5);
        assertThat(DocumentOpener.open("most.txt", most.getBytes(StandardCharsets.UTF_8), Map.of())
                        .script())
                .isEqualTo(most);
    }

    /** XML that says of itself that it is SSML is never spoken as text. */
    @Test
    void ssmlBehindALongDoctypeIsNoPlainText() {
        String doctype = "<!DOCTYPE speak [" + "<!ENTITY a 'b'>".repeat(400) + "]>";
        refused("a.ssml", (doctype + "<speak><p>Fog.</p></speak>").getBytes(StandardCharsets.UTF_8), "no script");
        refused("a.txt", (doctype + "<speak><p>Fog.</p></speak>").getBytes(StandardCharsets.UTF_8), "no script");
    }

    private static byte[] pdfBomb(int unpacked) throws IOException {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (PDDocument document = new PDDocument()) {
            PDPage page = new PDPage();
            PDResources resources = new PDResources();
            resources.put(COSName.getPDFName("F"), new PDType1Font(Standard14Fonts.FontName.HELVETICA));
            page.setResources(resources);
            document.addPage(page);
            PDStream stream = new PDStream(document);
            byte[] line = "(Fog till noon and after noon.) Tj 0 -1 Td ".getBytes(StandardCharsets.US_ASCII);
            try (OutputStream out = stream.createOutputStream(COSName.FLATE_DECODE)) {
                out.write("BT /F 12 Tf 72 700 Td ".getBytes(StandardCharsets.US_ASCII));
                for (int written = 0; written < unpacked; written += line.length) {
                    out.write(line);
                }
                out.write("ET".getBytes(StandardCharsets.US_ASCII));
            }
            page.setContents(stream);
            document.save(bytes);
        }
        return bytes.toByteArray();
    }
}
