package org.logophon.documents.worker;

import java.io.BufferedInputStream;
import java.io.BufferedOutputStream;
import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import org.logophon.documents.DocumentUnusable;
import org.logophon.documents.Documents;
import org.logophon.documents.OpenedDocument;

/** Opens one document and ends. What it takes of memory and time, the one who started it limits. */
public final class DocumentWorkerMain {

    private DocumentWorkerMain() {}

    public static void main(String[] args) throws IOException {
        PrintStream answers = System.out;
        // what a library prints is no answer
        System.setOut(System.err);
        WorkerFrames.Request request =
                WorkerFrames.readRequest(new DataInputStream(new BufferedInputStream(System.in, 1 << 16)));
        try (DataOutputStream out = new DataOutputStream(new BufferedOutputStream(answers, 1 << 16))) {
            try {
                OpenedDocument opened = Documents.open(request.fileName(), request.bytes(), request.columns());
                byte[] json = OpenedJson.write(opened);
                out.writeByte(WorkerFrames.OPENED);
                WorkerFrames.writeBytes(json, out);
            } catch (DocumentUnusable unusable) {
                out.writeByte(WorkerFrames.REFUSED);
                WorkerFrames.writeBytes(unusable.getMessage().getBytes(StandardCharsets.UTF_8), out);
            }
        }
        // a library's thread that still lives has nothing to say any more
        System.exit(0);
    }
}
