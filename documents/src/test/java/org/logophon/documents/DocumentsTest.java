package org.logophon.documents;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.encryption.AccessPermission;
import org.apache.pdfbox.pdmodel.encryption.StandardProtectionPolicy;
import org.apache.pdfbox.pdmodel.font.PDType1Font;
import org.apache.pdfbox.pdmodel.font.Standard14Fonts;
import org.apache.poi.xwpf.usermodel.XWPFDocument;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.logophon.core.text.script.Script;
import org.logophon.core.text.script.ScriptCue;
import org.logophon.core.text.script.Slot;

class DocumentsTest {

    private static OpenedDocument open(String name, String text) {
        return open(name, text.getBytes(StandardCharsets.UTF_8));
    }

    private static OpenedDocument open(String name, byte[] bytes) {
        return Documents.open(name, bytes, Map.of());
    }

    private static List<String> cues(OpenedDocument opened) {
        return Script.parse(opened.script()).cues().stream()
                .map(cue -> cue.role() + "|" + cue.text())
                .toList();
    }

    @Test
    void markdownKeepsWordsAndScriptMarksAndDropsTheRest() {
        OpenedDocument opened = open("lamp.md", """
                # The headland

                At the **top** of [Skerrow Head](https://example.org)
                stands a `lamp`.

                // ask for a picture
                KEEPER: 1911 was cold.

                1911. Wind north-west.

                - One.
                - Two.

                ![a lamp](lamp.png)

                Last line
                ---
                Next.
                """);
        assertThat(cues(opened))
                .containsExactly(
                        "Narrator|At the top of Skerrow Head stands a lamp.",
                        "Keeper|1911 was cold.",
                        "Keeper|1911. Wind north-west.",
                        "Keeper|One.",
                        "Keeper|Two.",
                        "Keeper|Last line",
                        "Keeper|Next.");
        assertThat(Script.parse(opened.script()).scenes())
                .extracting(Script.Scene::title)
                .containsExactly("The headland");
        assertThat(Script.parse(opened.script()).notes())
                .extracting(Script.Note::text)
                .containsExactly("ask for a picture");
        assertThat(opened.skipped())
                .containsExactly("1 picture was left out.", "1 link's address was left out; the words stay.");
    }

    @Test
    void wordDocumentsGiveHeadingsAndParagraphs() throws IOException {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (XWPFDocument document = new XWPFDocument()) {
            var style = org.openxmlformats.schemas.wordprocessingml.x2006.main.CTStyle.Factory.newInstance();
            style.setStyleId("Heading1");
            style.addNewName().setVal("heading 1");
            document.createStyles().addStyle(new org.apache.poi.xwpf.usermodel.XWPFStyle(style));
            var heading = document.createParagraph();
            heading.setStyle("Heading1");
            heading.createRun().setText("One tide");
            document.createParagraph().createRun().setText("KEEPER: Fog till noon.");
            document.createHeader(org.apache.poi.wp.usermodel.HeaderFooterType.DEFAULT)
                    .createParagraph()
                    .createRun()
                    .setText("Draft 3");
            document.createParagraph().createRun().setText("The boy slept.");
            document.write(bytes);
        }
        OpenedDocument opened = open("tide.docx", bytes.toByteArray());
        assertThat(opened.format()).isEqualTo("Word document");
        assertThat(cues(opened)).containsExactly("Keeper|Fog till noon.", "Keeper|The boy slept.");
        assertThat(Script.parse(opened.script()).scenes())
                .extracting(Script.Scene::title)
                .containsExactly("One tide");
    }

    @Test
    void openDocumentRtfAndHtml() throws IOException {
        ByteArrayOutputStream odt = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(odt)) {
            entry(zip, "mimetype", "application/vnd.oasis.opendocument.text");
            entry(
                    zip,
                    "content.xml",
                    "<?xml version='1.0'?><office:document-content "
                            + "xmlns:office='urn:oasis:names:tc:opendocument:xmlns:office:1.0' "
                            + "xmlns:text='urn:oasis:names:tc:opendocument:xmlns:text:1.0'><office:body><office:text><text:h text:outline-level='1'>Scene</text:h>"
                            + "<text:p>Fog till noon.</text:p><text:p>The boy "
                            + "slept.</text:p></office:text></office:body></office:document-content>");
        }
        assertThat(cues(open("a.odt", odt.toByteArray())))
                .containsExactly("Narrator|Fog till noon.", "Narrator|The boy slept.");
        assertThat(cues(open("a.rtf", "{\\rtf1\\ansi Fog till noon.\\par The boy slept.\\par}")))
                .containsExactly("Narrator|Fog till noon.", "Narrator|The boy slept.");
        OpenedDocument page = open(
                "a.html",
                "<html><head><title>x</title><script>alert(1)</script></head><body><nav>Home</nav><h1>Scene</h1><p>Fog "
                        + "<b>till</b> noon.</p><p>The boy slept.</p></body></html>");
        assertThat(cues(page)).containsExactly("Narrator|Fog till noon.", "Narrator|The boy slept.");
        assertThat(page.skipped()).containsExactly("2 parts of the page (menus, forms, scripts) were left out.");
    }

    @Test
    void captionsBecomeCuesWithSlots() {
        OpenedDocument srt = open(
                "a.srt",
                "1\r\n00:00:01,000 --> 00:00:03,500\r\nFog till\r\nnoon.\r\n\r\n2\r\n00:00:04,000 --> "
                        + "00:00:06,000\r\n<i># Not a heading</i>\r\n");
        assertThat(cues(srt)).containsExactly("Narrator|Fog till noon.", "Narrator|# Not a heading");
        assertThat(srt.slots()).containsExactly(new Slot(1000, 3500), new Slot(4000, 6000));
        OpenedDocument vtt = open(
                "a.vtt", "WEBVTT\n\nNOTE a note\n\n00:01.000 --> 00:03.500 align:start\n<v Keeper>Fog till noon.\n");
        assertThat(cues(vtt)).containsExactly("Keeper|Fog till noon.");
        assertThat(vtt.skipped()).containsExactly("1 note or style block was left out.");
    }

    @Test
    void tablesGoByTheNamesOfTheirColumns() {
        OpenedDocument opened = open(
                "a.csv",
                "Number,Speaker,Script,In,Out\n005,keeper,\"Fog, till "
                        + "noon.\",0:01,0:03.5\n,narrator,Remember: never look down.,00:00:04:00,00:00:06:12\n,,,,\n");
        assertThat(cues(opened)).containsExactly("Keeper|Fog, till noon.", "Narrator|Remember: never look down.");
        assertThat(opened.numbers()).containsExactly("005", null);
        assertThat(opened.slots()).containsExactly(new Slot(1000, 3500), new Slot(4000, 6480));
        assertThat(opened.columns())
                .extracting(OpenedDocument.Column::takenAs)
                .containsExactly("number", "role", "text", "in", "out");
    }

    @Test
    void aTableWithoutNamesIsGuessedAndCanBeSetRight() {
        String table = "1;Fog till noon on the headland.\n2;The boy slept through all of it.\n";
        OpenedDocument guessed = open("a.csv", table);
        assertThat(cues(guessed)).hasSize(2);
        assertThat(guessed.skipped().get(0)).contains("column 2");
        assertThat(cues(Documents.open("a.csv", table.getBytes(StandardCharsets.UTF_8), Map.of("text", 0))))
                .containsExactly("Narrator|1", "Narrator|2");
    }

    /** SSML 1.1, W3C Recommendation 7 September 2010, section 3.1.7: p is a paragraph. */
    @Test
    void ssmlParagraphsBecomeCuesWithTheirMarks() {
        OpenedDocument opened = open(
                "a.ssml",
                "<?xml version='1.0'?><speak version='1.1' xmlns='http://www.w3.org/2001/10/synthesis' "
                        + "xml:lang='en-GB'><p><s>Fog till noon.</s> "
                        + "<s>It <emphasis>stayed</emphasis>.</s> <audio src='sea.wav'/></p><voice "
                        + "name='keeper'><p>The boy <break time='1s'/>slept.</p></voice></speak>");
        assertThat(cues(opened)).containsExactly("Narrator|Fog till noon. It stayed.", "Keeper|The boy slept.");
        assertThat(opened.directed())
                .extracting(cue -> cue.marks().all().stream()
                        .map(mark -> mark.instruction().id() + " "
                                + mark.instruction().value() + " " + cue.text().substring(mark.start(), mark.end()))
                        .toList())
                .containsExactly(List.of("stress moderate stayed"), List.of("pause 1000 boy"));
        assertThat(opened.language()).isEqualTo("en-GB");
        assertThat(opened.skipped()).containsExactly("<audio>: left out; the words stay.");
    }

    @ParameterizedTest
    @ValueSource(strings = {"UTF-8", "UTF-16LE", "UTF-16BE", "windows-1252"})
    void encodingsAreDetected(String charset) {
        String text = "“Fog” till noon – the café on the quay, the tower’s façade, the naïve keeper’s résumé: "
                + "all of it was grey.";
        assertThat(cues(open("a.txt", text.getBytes(Charset.forName(charset))))).containsExactly("Narrator|" + text);
    }

    @Test
    void aWrongEndingIsSeenThrough() {
        OpenedDocument opened = open("a.docx", "Fog till noon.");
        assertThat(cues(opened)).containsExactly("Narrator|Fog till noon.");
        assertThat(opened.skipped()).containsExactly("It is named .docx, but it is plain text, and was read as that.");
    }

    @Test
    void pdfPagesAreRead() throws IOException {
        assertThat(cues(open("a.pdf", pdf(false)))).containsExactly("Narrator|Fog till noon.");
    }

    @Test
    void whatCannotBeOpenedEndsInASentence() throws IOException {
        refused("empty.txt", new byte[0], "is empty");
        refused(
                "a.png",
                new byte[] {(byte) 0x89, 'P', 'N', 'G', 13, 10, 26, 10, 0, 0, 0, 13, 'I', 'H', 'D', 'R'},
                "is no text");
        refused("locked.pdf", pdf(true), "protected by a password");
        refused("broken.pdf", "%PDF-1.7 and nothing more".getBytes(StandardCharsets.US_ASCII), "damaged");
        refused("broken.docx", "PK\3\4 and nothing more".getBytes(StandardCharsets.ISO_8859_1), "packed file");
        refused("bomb.docx", bomb(), "unpacks to over 200 MB");
        refused("large.txt", new byte[Documents.MOST_BYTES + 1], "over 30 MB");
        refused("blank.txt", " \n \n".getBytes(StandardCharsets.UTF_8), "nothing to speak");
        refused("a.csv", "text\n\"Fog till noon".getBytes(StandardCharsets.UTF_8), "quotation mark");
        refused("a.ssml", "<speak><p>Fog</speak>".getBytes(StandardCharsets.UTF_8), "no well-formed SSML");
    }

    /** An external entity is never fetched (OWASP's XXE cases). */
    @Test
    void externalEntitiesAreNotRead() {
        assertThatThrownBy(() -> open(
                        "a.ssml",
                        "<!DOCTYPE speak [<!ENTITY x SYSTEM 'file:///etc/passwd'>]><speak><p>&x;</p></speak>"))
                .isInstanceOf(DocumentUnusable.class)
                .hasMessageNotContaining("root:");
        String content = "<?xml version='1.0'?><!DOCTYPE x [<!ENTITY x SYSTEM "
                + "'file:///etc/passwd'>]><office:document-content "
                + "xmlns:office='urn:oasis:names:tc:opendocument:xmlns:office:1.0' "
                + "xmlns:text='urn:oasis:names:tc:opendocument:xmlns:text:1.0'><office:body><office:text><text:p>Fog &x; "
                + "noon.</text:p></office:text></office:body></office:document-content>";
        ByteArrayOutputStream odt = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(odt)) {
            entry(zip, "content.xml", content);
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
        try {
            assertThat(open("a.odt", odt.toByteArray()).script()).doesNotContain("root:");
        } catch (DocumentUnusable refused) {
            assertThat(refused).hasMessageNotContaining("root:");
        }
    }

    private static void refused(String name, byte[] bytes, String sentence) {
        assertThatThrownBy(() -> open(name, bytes))
                .as(name)
                .isInstanceOf(DocumentUnusable.class)
                .hasMessageContaining(sentence)
                .hasMessageStartingWith(name);
    }

    private static byte[] bomb() throws IOException {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(bytes)) {
            zip.putNextEntry(new ZipEntry("word/document.xml"));
            byte[] zeros = new byte[1 << 20];
            for (int i = 0; i < 210; i++) {
                zip.write(zeros);
            }
        }
        return bytes.toByteArray();
    }

    private static void entry(ZipOutputStream zip, String name, String text) throws IOException {
        zip.putNextEntry(new ZipEntry(name));
        zip.write(text.getBytes(StandardCharsets.UTF_8));
        zip.closeEntry();
    }

    /** One page that says "Fog till noon." @param locked behind a password */
    static byte[] pdf(boolean locked) throws IOException {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (PDDocument document = new PDDocument()) {
            PDPage page = new PDPage();
            document.addPage(page);
            try (PDPageContentStream content = new PDPageContentStream(document, page)) {
                content.beginText();
                content.setFont(new PDType1Font(Standard14Fonts.FontName.HELVETICA), 12);
                content.newLineAtOffset(72, 700);
                content.showText("Fog till noon.");
                content.endText();
            }
            if (locked) {
                document.protect(new StandardProtectionPolicy("owner", "user", new AccessPermission()));
            }
            document.save(bytes);
        }
        return bytes.toByteArray();
    }

    @Test
    void everyRowStaysOneCue() {
        List<String> rows = List.of("# 1", "// 2", "---", "NOTE: 3", "Remember: 4", "- 5", "plain 6");
        OpenedDocument opened = open("a.csv", "text\n" + String.join("\n", rows) + "\n");
        assertThat(Script.parse(opened.script()).cues())
                .extracting(ScriptCue::text)
                .containsExactlyElementsOf(rows);
    }
}
