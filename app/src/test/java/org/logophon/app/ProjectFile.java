package org.logophon.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;

/** A project as a file, taken apart and put together again by somebody who means no good. */
final class ProjectFile {

    private ProjectFile() {}

    static Map<String, byte[]> unpacked(byte[] zip) throws IOException {
        Map<String, byte[]> parts = new LinkedHashMap<>();
        try (ZipInputStream in = new ZipInputStream(new ByteArrayInputStream(zip))) {
            for (ZipEntry entry = in.getNextEntry(); entry != null; entry = in.getNextEntry()) {
                parts.put(entry.getName(), in.readAllBytes());
            }
        }
        return parts;
    }

    static byte[] packed(Map<String, byte[]> parts) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(out)) {
            for (Map.Entry<String, byte[]> part : parts.entrySet()) {
                zip.putNextEntry(new ZipEntry(part.getKey()));
                zip.write(part.getValue());
            }
        }
        return out.toByteArray();
    }

    /** @param what a pattern, which has to be found in the entry */
    static byte[] with(byte[] file, String entry, String what, String becomes) throws IOException {
        Map<String, byte[]> parts = unpacked(file);
        String text = new String(parts.get(entry), StandardCharsets.UTF_8);
        assertThat(text).containsPattern(what);
        parts.put(entry, text.replaceAll(what, becomes).getBytes(StandardCharsets.UTF_8));
        return packed(parts);
    }

    /** @param workspace its address; empty for the first one */
    static HttpResponse<String> bring(Server server, String workspace, byte[] sent) {
        server.get(workspace.isEmpty() ? "/" : workspace);
        return server.send(server.request(workspace + "/projects/file")
                .header("Content-Type", "application/octet-stream")
                .header("X-XSRF-TOKEN", server.token())
                .POST(HttpRequest.BodyPublishers.ofByteArray(sent)));
    }
}
