package org.logophon.cli.narrate;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CompletionException;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Future;
import java.util.concurrent.atomic.AtomicReference;
import org.logophon.cli.narrate.DeliverOptions.Deliver;
import org.logophon.core.delivery.Delivered;
import org.logophon.core.delivery.FileWriting;
import org.logophon.core.delivery.Manifest;
import org.logophon.core.delivery.PartFile;
import org.logophon.core.delivery.Sounds;
import org.logophon.core.delivery.WholeFile;

/** Writes a delivery into a folder, on all cores; each file is whole or not there. */
final class DeliveredFolder {

    private final Path folder;
    private final ExecutorService threads;
    /** Files that are written and haven't their names yet, by their paths. */
    private final Map<String, Path> staged = new ConcurrentHashMap<>();

    DeliveredFolder(Path folder, ExecutorService threads) {
        this.folder = folder;
        this.threads = threads;
    }

    /** @return paths of all that is there and no clip, the list of files included */
    List<String> write(Delivered delivered, Deliver deliver, Sounds sounds) throws IOException {
        try {
            return written(delivered, deliver, sounds);
        } finally {
            for (Path part : staged.values()) {
                Files.deleteIfExists(part);
            }
        }
    }

    private List<String> written(Delivered delivered, Deliver deliver, Sounds sounds) throws IOException {
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
            String change = entry.change();
            if (change.equals("gone") || change.equals("same") || change.equals("moved")) {
                continue;
            }
            WholeFile.moveIn(staged.get(entry.path()), folder.resolve(entry.path()));
            if (entry.cue().isEmpty()) {
                others.add(entry.path());
            }
        }
        WholeFile.write(
                folder.resolve(Manifest.FILE), out -> out.write(told.json().getBytes(StandardCharsets.UTF_8)));
        others.add(Manifest.FILE);
        return others;
    }

    private Manifest.Entry part(PartFile file, Delivered delivered) throws IOException {
        Path target = folder.resolve(file.path());
        Path part = WholeFile.beside(target);
        WholeFile.makeWay(folder, target);
        staged.put(file.path(), part);
        AtomicReference<Manifest.Entry> entry = new AtomicReference<>();
        try {
            WholeFile.stage(part, out -> entry.set(FileWriting.write(file, delivered, out)));
            return entry.get();
        } catch (UncheckedIOException failed) {
            throw failed.getCause();
        }
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
