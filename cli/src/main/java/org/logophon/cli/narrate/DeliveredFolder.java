package org.logophon.cli.narrate;

import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CompletionException;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Future;
import org.logophon.cli.narrate.DeliverOptions.Deliver;
import org.logophon.core.delivery.Delivered;
import org.logophon.core.delivery.FileWriting;
import org.logophon.core.delivery.Manifest;
import org.logophon.core.delivery.PartFile;
import org.logophon.core.delivery.Sounds;

/** Writes a delivery into a folder, on all cores; each file is whole or not there. */
final class DeliveredFolder {

    private final Path folder;
    private final ExecutorService threads;

    DeliveredFolder(Path folder, ExecutorService threads) {
        this.folder = folder;
        this.threads = threads;
    }

    /** @return paths of all that is there and no clip, the list of files included */
    List<String> write(Delivered delivered, Deliver deliver, Sounds sounds) throws IOException {
        List<PartFile> files = new ArrayList<>();
        deliver.parts().forEach(part -> files.addAll(part.files(delivered, deliver.wishes(), sounds)));
        List<Future<Manifest.Entry>> work = new ArrayList<>();
        for (PartFile file : files) {
            work.add(threads.submit(() -> part(file, delivered)));
        }
        List<Manifest.Entry> entries = new ArrayList<>();
        for (Future<Manifest.Entry> one : work) {
            entries.add(done(one));
        }
        Manifest all = Manifest.first(delivered.title(), entries);
        Manifest told = deliver.since() == null ? all : all.since(deliver.since());
        List<String> others = new ArrayList<>();
        for (Manifest.Entry entry : told.files()) {
            Path part = besides(entry.path());
            if (entry.change().equals("gone")) {
                continue;
            }
            if (entry.change().equals("same") || entry.change().equals("moved")) {
                Files.delete(part);
                continue;
            }
            Files.move(part, folder.resolve(entry.path()), StandardCopyOption.REPLACE_EXISTING);
            if (entry.cue().isEmpty()) {
                others.add(entry.path());
            }
        }
        Files.writeString(folder.resolve(Manifest.FILE), told.json());
        others.add(Manifest.FILE);
        return others;
    }

    private Manifest.Entry part(PartFile file, Delivered delivered) throws IOException {
        Path part = besides(file.path());
        Files.createDirectories(part.getParent());
        try (OutputStream out = new BufferedOutputStream(Files.newOutputStream(part), 1 << 16)) {
            return FileWriting.write(file, delivered, out);
        } catch (UncheckedIOException failed) {
            throw failed.getCause();
        }
    }

    private Path besides(String path) {
        Path target = folder.resolve(path);
        return target.resolveSibling("." + target.getFileName() + ".part");
    }

    private static <T> T done(Future<T> work) throws IOException {
        try {
            return work.get();
        } catch (ExecutionException failed) {
            if (failed.getCause() instanceof IOException io) {
                throw io;
            }
            throw new CompletionException(failed.getCause());
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            throw new CompletionException("The delivery was interrupted.", stopped);
        }
    }
}
