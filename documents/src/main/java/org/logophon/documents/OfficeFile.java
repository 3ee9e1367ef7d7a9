package org.logophon.documents;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import org.apache.tika.exception.EncryptedDocumentException;
import org.apache.tika.exception.TikaException;
import org.apache.tika.metadata.Metadata;
import org.apache.tika.parser.ParseContext;
import org.apache.tika.parser.Parser;
import org.apache.tika.parser.microsoft.OfficeParser;
import org.apache.tika.parser.microsoft.OfficeParserConfig;
import org.apache.tika.parser.microsoft.ooxml.OOXMLParser;
import org.apache.tika.parser.microsoft.rtf.RTFParser;
import org.apache.tika.parser.odf.OpenDocumentParser;
import org.xml.sax.SAXException;

/**
 * Word, OpenDocument and RTF through Apache Tika, and PDF through PDFBox, with a deadline and a limit on what a packed
 * file unpacks to.
 */
final class OfficeFile {

    private static final long MOST_UNPACKED = 200L << 20;
    private static final int DEADLINE_SECONDS = 50;

    private OfficeFile() {}

    /** @param parser null for PDF, which is read by {@link PdfFile} */
    private record Format(String title, Parser parser) {}

    static OpenedDocument read(String fileName, String name, byte[] bytes, String start) {
        Format format = format(fileName, bytes, start);
        ExecutorService one = Executors.newSingleThreadExecutor(task -> {
            Thread thread = new Thread(task, "document");
            thread.setDaemon(true);
            return thread;
        });
        Future<OpenedDocument> work = one.submit(() -> format.parser() == null
                ? PdfFile.read(name, bytes, ScriptHandler.MOST_CHARACTERS)
                : parsed(name, format, bytes));
        try {
            return work.get(DEADLINE_SECONDS, TimeUnit.SECONDS);
        } catch (TimeoutException slow) {
            throw new DocumentUnusable(
                    fileName + " takes longer than " + DEADLINE_SECONDS + " seconds to read. Save it as plain text.");
        } catch (ExecutionException failed) {
            throw unusable(fileName, format, failed.getCause());
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            throw new DocumentUnusable(fileName + " was not read: it was interrupted.");
        } finally {
            one.shutdownNow();
        }
    }

    private static OpenedDocument parsed(String name, Format format, byte[] bytes)
            throws IOException, SAXException, TikaException {
        ScriptHandler handler = new ScriptHandler();
        ParseContext context = new ParseContext();
        context.set(OfficeParserConfig.class, bodyOnly());
        format.parser().parse(new ByteArrayInputStream(bytes), handler, new Metadata(), context);
        return OpenedDocument.ofText(name, format.title(), handler.script(), handler.skipped());
    }

    private static OfficeParserConfig bodyOnly() {
        OfficeParserConfig config = new OfficeParserConfig();
        config.setIncludeHeadersAndFooters(false);
        config.setIncludeDeletedContent(false);
        config.setIncludeMoveFromContent(false);
        return config;
    }

    private static DocumentUnusable unusable(String fileName, Format format, Throwable cause) {
        if (cause instanceof DocumentUnusable said) {
            return said;
        }
        for (Throwable at = cause; at != null; at = at.getCause()) {
            if (at instanceof EncryptedDocumentException
                    || at.getClass().getSimpleName().contains("Password")
                    || at.getClass().getSimpleName().contains("Encrypted")) {
                return new DocumentUnusable(fileName + " is protected by a password. Save it without one.");
            }
        }
        if (cause instanceof IOException
                || cause instanceof SAXException
                || cause instanceof TikaException
                || cause instanceof RuntimeException
                || cause instanceof StackOverflowError) {
            return new DocumentUnusable(fileName + " can't be read as a " + format.title()
                    + ": it is damaged or made to do harm. Save it again, or as plain text.");
        }
        throw new IllegalStateException(cause);
    }

    private static Format format(String fileName, byte[] bytes, String start) {
        if (start.startsWith("%PDF-")) {
            return new Format("PDF", null);
        }
        if (start.startsWith("{\\rtf")) {
            return new Format("RTF document", new RTFParser());
        }
        if (start.startsWith("\u00D0\u00CF")) {
            if (contains(bytes, "E\0n\0c\0r\0y\0p\0t\0e\0d\0P\0a\0c\0k\0a\0g\0e")) {
                throw new DocumentUnusable(fileName + " is protected by a password. Save it without one.");
            }
            return new Format("Word 97 document", new OfficeParser());
        }
        return packed(fileName, bytes);
    }

    /** Looks through the packed file once, without keeping what it unpacks to. */
    private static Format packed(String fileName, byte[] bytes) {
        boolean word = false;
        boolean open = false;
        long unpacked = 0;
        byte[] buffer = new byte[1 << 16];
        try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(bytes))) {
            for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
                word |= entry.getName().equals("word/document.xml");
                open |= entry.getName().equals("content.xml");
                for (int read = zip.read(buffer); read > 0; read = zip.read(buffer)) {
                    unpacked += read;
                    if (unpacked > MOST_UNPACKED) {
                        throw new DocumentUnusable(fileName + " unpacks to over " + (MOST_UNPACKED >> 20)
                                + " MB: that is no script. Save it as plain text.");
                    }
                }
            }
        } catch (IOException | IllegalArgumentException damaged) {
            throw new DocumentUnusable(
                    fileName + " can't be unpacked: it is damaged or encrypted. Save it again, without a password.");
        }
        if (!word && !open) {
            throw new DocumentUnusable(
                    fileName + " is a packed file without a document in it. Unpack it, and open what is inside.");
        }
        return word
                ? new Format("Word document", new OOXMLParser())
                : new Format("OpenDocument text", new OpenDocumentParser());
    }

    private static boolean contains(byte[] bytes, String wanted) {
        return new String(bytes, java.nio.charset.StandardCharsets.ISO_8859_1).contains(wanted);
    }
}
