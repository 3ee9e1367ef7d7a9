package org.logophon.documents.worker;

import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.Map;

/** The messages between the two processes: a request with the document, an answer with the script or a sentence. */
public final class WorkerFrames {

    public static final byte OPENED = 0;
    public static final byte REFUSED = 1;

    private WorkerFrames() {}

    /** A document to open. @param columns for CSV */
    public record Request(String fileName, byte[] bytes, Map<String, Integer> columns) {}

    public static void write(Request request, DataOutputStream out) throws IOException {
        writeBytes(request.fileName().getBytes(StandardCharsets.UTF_8), out);
        out.writeInt(request.columns().size());
        for (Map.Entry<String, Integer> column : request.columns().entrySet()) {
            out.writeUTF(column.getKey());
            out.writeInt(column.getValue());
        }
        writeBytes(request.bytes(), out);
        out.flush();
    }

    static Request readRequest(DataInputStream in) throws IOException {
        String fileName = new String(readBytes(in, Integer.MAX_VALUE), StandardCharsets.UTF_8);
        Map<String, Integer> columns = new LinkedHashMap<>();
        for (int left = in.readInt(); left > 0; left--) {
            columns.put(in.readUTF(), in.readInt());
        }
        return new Request(fileName, readBytes(in, Integer.MAX_VALUE), columns);
    }

    static void writeBytes(byte[] bytes, DataOutputStream out) throws IOException {
        out.writeInt(bytes.length);
        out.write(bytes);
    }

    /** @throws AnswerTooLong when the other side would send more than {@code most} bytes */
    public static byte[] readBytes(DataInputStream in, int most) throws IOException {
        int length = in.readInt();
        if (length < 0 || length > most) {
            throw new AnswerTooLong();
        }
        byte[] bytes = new byte[length];
        in.readFully(bytes);
        return bytes;
    }

    /** More than any script is. */
    public static final class AnswerTooLong extends IOException {
        private static final long serialVersionUID = 1;
    }
}
