package org.logophon.documents;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.apache.poi.xwpf.usermodel.XWPFDocument;
import org.junit.jupiter.api.Test;
import org.logophon.core.text.script.Script;

/**
 * A document of every kind, damaged at random: each becomes a script or a sentence. Each run has a seed of its own;
 * {@code -Dhostile.seed} damages the same again.
 */
class HostileDocumentsTest {

    private static final int FILES = Integer.getInteger("hostile.files", 200);

    private static Map<String, byte[]> whole() throws IOException {
        Map<String, byte[]> whole = new LinkedHashMap<>();
        text(whole, "a.txt", "Fog till noon.\n\nKEEPER: Wind north-west.\n");
        text(whole, "a.md", "# Fog\n\nAt the **top** of [Skerrow](https://skerrow.example)\n\n- One.\n- Two.\n");
        text(whole, "a.csv", "number,role,text\n010,Keeper,\"Fog, till noon\"\n020,Narrator,Wind\n");
        text(
                whole,
                "a.srt",
                "1\n00:00:01,000 --> 00:00:03,500\nFog till noon.\n\n2\n00:00:04,000 --> 00:00:05,000\nWind.\n");
        text(whole, "a.vtt", "WEBVTT\n\n00:01.000 --> 00:03.500\nFog <i>till</i> noon.\n");
        text(
                whole,
                "a.htm",
                "<!doctype html><html><body><h1>Fog</h1><p>till &amp; noon</p><table><tr><td>x</table></body></html>");
        text(
                whole,
                "a.ssml",
                "<speak version='1.1' xmlns='http://www.w3.org/2001/10/synthesis'><p><prosody "
                        + "rate='80%'>Fog</prosody> <break time='1s'/>noon</p></speak>");
        text(whole, "a.rtf", "{\\rtf1\\ansi{\\fonttbl{\\f0 Serif;}}\\f0 Fog till noon.\\par Wind.\\par}");
        whole.put("a.docx", docx());
        whole.put("a.odt", odt());
        whole.put("a.pdf", DocumentsTest.pdf(false));
        return whole;
    }

    private static void text(Map<String, byte[]> whole, String name, String text) {
        whole.put(name, text.getBytes(StandardCharsets.UTF_8));
    }

    @Test
    void everyDamagedDocumentIsAScriptOrASentence() throws IOException {
        long seed = Long.getLong("hostile.seed", 1);
        System.out.println("Hostile documents, seed " + seed);
        Random random = new Random(seed);
        List<Map.Entry<String, byte[]>> whole = new ArrayList<>(whole().entrySet());
        for (Map.Entry<String, byte[]> file : whole) {
            assertThat(Documents.open(file.getKey(), file.getValue(), Map.of()).script())
                    .containsIgnoringCase("fog");
        }
        List<String> complaints = new ArrayList<>();
        for (int i = 0; i < FILES; i++) {
            Map.Entry<String, byte[]> file = whole.get(i % whole.size());
            byte[] damaged = damaged(file.getValue(), random);
            String name = random.nextInt(6) == 0
                    ? whole.get(random.nextInt(whole.size())).getKey()
                    : file.getKey();
            try {
                OpenedDocument opened = Documents.open(name, damaged, Map.of());
                if (opened.script().isBlank() || opened.script().length() > Script.MOST_CHARACTERS) {
                    complaints.add(i + " " + name + " became a script of "
                            + opened.script().length());
                }
            } catch (DocumentUnusable sentence) {
                if (!sentence.getMessage().startsWith(name)
                        || !sentence.getMessage().endsWith(".")) {
                    complaints.add(i + " " + name + " was refused with: " + sentence.getMessage());
                }
            } catch (RuntimeException | StackOverflowError failure) {
                complaints.add(i + " " + name + " failed: " + failure + " at " + failure.getStackTrace()[0]);
            }
        }
        assertThat(complaints).as("seed " + seed).isEmpty();
    }

    private static byte[] damaged(byte[] whole, Random random) {
        byte[] damaged = whole.clone();
        switch (random.nextInt(5)) {
            case 0 -> damaged = Arrays.copyOf(whole, random.nextInt(whole.length) + 1);
            case 1 -> {
                for (int n = 1 + random.nextInt(20); n > 0; n--) {
                    damaged[random.nextInt(damaged.length)] = (byte) random.nextInt(256);
                }
            }
            case 2 -> {
                int from = random.nextInt(whole.length);
                byte[] part = Arrays.copyOfRange(whole, from, Math.min(whole.length, from + 1 + random.nextInt(60)));
                ByteArrayOutputStream out = new ByteArrayOutputStream();
                out.writeBytes(whole);
                for (int n = random.nextInt(3_000); n > 0; n--) {
                    out.writeBytes(part);
                }
                damaged = out.toByteArray();
            }
            case 3 -> {
                int from = random.nextInt(damaged.length);
                Arrays.fill(damaged, from, Math.min(damaged.length, from + random.nextInt(40)), (byte) 0);
            }
            default -> {
                int at = random.nextInt(whole.length);
                ByteArrayOutputStream out = new ByteArrayOutputStream();
                out.write(whole, 0, at);
                out.writeBytes("<p>[{(\"*_>#\r".repeat(random.nextInt(2_000)).getBytes(StandardCharsets.UTF_8));
                out.write(whole, at, whole.length - at);
                damaged = out.toByteArray();
            }
        }
        return damaged;
    }

    private static byte[] docx() throws IOException {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (XWPFDocument document = new XWPFDocument()) {
            document.createParagraph().createRun().setText("Fog till noon.");
            document.createParagraph().createRun().setText("KEEPER: Wind.");
            document.write(bytes);
        }
        return bytes.toByteArray();
    }

    private static byte[] odt() throws IOException {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(bytes)) {
            zip.putNextEntry(new ZipEntry("content.xml"));
            zip.write(("<?xml version='1.0'?><office:document-content "
                            + "xmlns:office='urn:oasis:names:tc:opendocument:xmlns:office:1.0' "
                            + "xmlns:text='urn:oasis:names:tc:opendocument:xmlns:text:1.0'><office:body><office:text><text:p>Fog till "
                            + "noon.</text:p></office:text></office:body></office:document-content>")
                    .getBytes(StandardCharsets.UTF_8));
            zip.closeEntry();
        }
        return bytes.toByteArray();
    }
}
