package org.logophon.app.services.deliveries;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Set;
import java.util.zip.Deflater;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.logophon.app.services.deliveries.DeliveredFiles.Stored;
import org.logophon.core.delivery.Manifest;
import org.springframework.stereotype.Component;

/** A delivery as one package, streamed from the store: the same bytes each time. */
@Component
public class DeliveryZip {

    private static final Set<String> WANTED = Set.of("new", "changed");

    private final DeliveredFiles files;

    DeliveryZip(DeliveredFiles files) {
        this.files = files;
    }

    /** @param changes true for what is new or has changed alone */
    public void write(Delivery delivery, String title, boolean changes, OutputStream out) throws IOException {
        List<Stored> all = files.of(delivery.id());
        ZipOutputStream zip = new ZipOutputStream(out, StandardCharsets.UTF_8);
        // sound hardly gets smaller, and is wanted soon
        zip.setLevel(Deflater.NO_COMPRESSION);
        for (Stored file : all) {
            Manifest.Entry entry = file.entry();
            if (!entry.change().equals("gone") && (!changes || WANTED.contains(entry.change()))) {
                put(zip, entry.path(), delivery);
                files.copyTo(entry.sha256(), zip);
                zip.closeEntry();
            }
        }
        put(zip, Manifest.FILE, delivery);
        Manifest manifest =
                new Manifest(1, title, all.stream().map(Stored::entry).toList());
        zip.write(manifest.json().getBytes(StandardCharsets.UTF_8));
        zip.closeEntry();
        zip.finish();
        zip.flush();
    }

    private static void put(ZipOutputStream zip, String path, Delivery delivery) throws IOException {
        ZipEntry entry = new ZipEntry(path);
        entry.setTimeLocal(LocalDateTime.ofInstant(delivery.createdAt(), ZoneOffset.UTC));
        zip.putNextEntry(entry);
    }
}
