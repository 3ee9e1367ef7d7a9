package org.logophon.core.delivery;

import java.io.BufferedWriter;
import java.io.IOException;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.util.function.Supplier;

/**
 * A file of a delivery.
 *
 * @param path    in it, with slashes
 * @param cue     number of the cue that it is of; empty for what is of several
 * @param content written when it is wanted
 */
public record PartFile(String path, String cue, Content content) {

    /** Writes a file; the stream stays open. */
    @FunctionalInterface
    public interface Content {
        void write(OutputStream out) throws IOException;
    }

    /** One of the whole programme. */
    public PartFile(String path, Content content) {
        this(path, "", content);
    }

    /** Writes text as it is made. */
    @FunctionalInterface
    public interface Text {
        void write(Writer out) throws IOException;
    }

    /** A text file, UTF-8, that is never held whole: a row for every sound of some hours is long. */
    public static PartFile streamed(String path, Text text) {
        return new PartFile(path, out -> {
            Writer writer = new BufferedWriter(new OutputStreamWriter(out, StandardCharsets.UTF_8), 1 << 14);
            text.write(writer);
            writer.flush();
        });
    }

    /** A text file, UTF-8. */
    public static PartFile text(String path, Supplier<String> text) {
        return new PartFile(path, out -> out.write(text.get().getBytes(StandardCharsets.UTF_8)));
    }
}
