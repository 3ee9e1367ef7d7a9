package org.logophon.documents;

import com.ibm.icu.text.CharsetDetector;
import com.ibm.icu.text.CharsetMatch;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.List;

/**
 * Bytes as text: by their byte order mark, as UTF-8 when they are valid UTF-8, as UTF-16 when every other byte is null,
 * else as
 * ICU's detector finds most likely.
 *
 * @param charset name of the encoding
 */
record TextFile(String text, String charset) {

    static TextFile of(byte[] bytes, String name) {
        if (starts(bytes, 0xEF, 0xBB, 0xBF)) {
            return new TextFile(new String(bytes, 3, bytes.length - 3, StandardCharsets.UTF_8), "UTF-8");
        }
        if (starts(bytes, 0xFF, 0xFE) || starts(bytes, 0xFE, 0xFF)) {
            return new TextFile(clean(new String(bytes, StandardCharsets.UTF_16), name), "UTF-16");
        }
        int evenNulls = nulls(bytes, 0);
        int oddNulls = nulls(bytes, 1);
        if (bytes.length > 3 && bytes.length % 2 == 0 && Math.max(evenNulls, oddNulls) > bytes.length / 5) {
            Charset wide = evenNulls > oddNulls ? StandardCharsets.UTF_16BE : StandardCharsets.UTF_16LE;
            return new TextFile(clean(new String(bytes, wide), name), wide.name());
        }
        try {
            return new TextFile(
                    clean(
                            StandardCharsets.UTF_8
                                    .newDecoder()
                                    .decode(ByteBuffer.wrap(bytes))
                                    .toString(),
                            name),
                    "UTF-8");
        } catch (CharacterCodingException notUtf8) {
            return detected(bytes, name);
        }
    }

    private static TextFile detected(byte[] bytes, String name) {
        CharsetMatch match = new CharsetDetector().setText(bytes).detect();
        if (match == null || !Charset.isSupported(match.getName())) {
            throw new DocumentUnusable(name + " is in no encoding that can be told. Save it as plain text in UTF-8.");
        }
        // what the detector calls ISO-8859-1 is windows-1252 as soon as it has curly quotes, and that is a superset
        Charset charset = Charset.forName("ISO-8859-1".equals(match.getName()) ? "windows-1252" : match.getName());
        return new TextFile(clean(new String(bytes, charset), name), charset.name());
    }

    /** Says what was assumed, when it was not UTF-8. */
    List<String> remarks() {
        return charset.startsWith("UTF-8")
                ? List.of()
                : List.of("It was read as " + charset + ". If letters look wrong, save it in UTF-8.");
    }

    private static String clean(String text, String name) {
        long controls = text.chars()
                .filter(c -> c < 32 && c != '\n' && c != '\r' && c != '\t' && c != '\f' || c == 0xFFFD)
                .count();
        if (text.indexOf('\0') >= 0 || controls > 10 + text.length() / 50) {
            throw new DocumentUnusable(name + " is no text. Give a text, a document or a caption file.");
        }
        return text.startsWith("\uFEFF") ? text.substring(1) : text;
    }

    private static boolean starts(byte[] bytes, int... wanted) {
        if (bytes.length < wanted.length) {
            return false;
        }
        for (int i = 0; i < wanted.length; i++) {
            if ((bytes[i] & 0xFF) != wanted[i]) {
                return false;
            }
        }
        return true;
    }

    private static int nulls(byte[] bytes, int from) {
        int count = 0;
        for (int i = from; i < bytes.length; i += 2) {
            count += bytes[i] == 0 ? 1 : 0;
        }
        return count;
    }
}
