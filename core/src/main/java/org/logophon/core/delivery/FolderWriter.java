package org.logophon.core.delivery;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.ArrayList;
import java.util.HexFormat;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.logophon.core.input.InvalidInput;

/**
 * Writes a delivery into a folder that an editor has open: each file is written beside its place and renamed, so that
 * it is the old one or the new one at every moment. Nothing that an earlier delivery didn't write is touched; what is
 * no longer delivered stays until somebody asks for it to go.
 */
public final class FolderWriter {

    private final Path folder;

    /** @param folder made when it is missing */
    public FolderWriter(Path folder) {
        this.folder = folder.toAbsolutePath().normalize();
    }

    /** Gives what is in a file by its digest; the stream stays open. */
    @FunctionalInterface
    public interface Content {
        void copyTo(String sha256, OutputStream out) throws IOException;
    }

    /**
     * What was done.
     *
     * @param written files that are new or others now
     * @param same    files that were there as they are
     * @param left    of an earlier delivery, and still there
     */
    public record Written(int written, int same, List<String> left) {}

    /** @throws InvalidInput with a sentence when a folder or a link stands in the way, or somebody else writes there */
    public Written write(Manifest manifest, Content content) throws IOException {
        if (Files.exists(folder) && !Files.isDirectory(folder)) {
            throw new InvalidInput("“%s” is a file, and a folder of that name is needed. Move it away."
                    .formatted(folder.getFileName()));
        }
        Files.createDirectories(folder);
        try (FolderHold held = FolderHold.of(folder)) {
            return written(manifest, content);
        }
    }

    private Written written(Manifest manifest, Content content) throws IOException {
        Set<String> left = new TreeSet<>(earlier());
        int written = 0;
        int same = 0;
        for (Manifest.Entry file : manifest.files()) {
            if (file.change().equals("gone")) {
                continue;
            }
            Path target = inside(file.path());
            left.remove(file.path());
            if (file.sha256().equals(digest(target))) {
                same++;
                continue;
            }
            replace(target, out -> content.copyTo(file.sha256(), out));
            written++;
        }
        left.removeIf(path -> !Files.isRegularFile(inside(path)));
        replace(
                folder.resolve(Manifest.FILE),
                PartFile.text("", () -> told(manifest, left).json()).content()::write);
        return new Written(written, same, List.copyOf(left));
    }

    /** Takes away what earlier deliveries wrote and the last one no longer has. @return how many files */
    public int removeLeft() throws IOException {
        try (FolderHold held = FolderHold.of(folder)) {
            return removedLeft();
        }
    }

    private int removedLeft() throws IOException {
        int removed = 0;
        List<Manifest.Entry> kept = new ArrayList<>();
        Manifest manifest = manifest();
        for (Manifest.Entry file : manifest.files()) {
            if (!file.change().equals("gone")) {
                kept.add(file);
            } else if (Files.deleteIfExists(inside(file.path()))) {
                removed++;
            }
        }
        Manifest without = new Manifest(manifest.version(), manifest.title(), kept);
        replace(folder.resolve(Manifest.FILE), PartFile.text("", without::json).content()::write);
        return removed;
    }

    /** What is left is told as gone, so that it is known the next time. */
    private static Manifest told(Manifest manifest, Set<String> left) {
        List<Manifest.Entry> files = new ArrayList<>(manifest.files().stream()
                .filter(file -> !file.change().equals("gone"))
                .toList());
        left.forEach(path -> files.add(new Manifest.Entry(path, 0, "", "", "gone", "", "", "", "", -1)));
        return new Manifest(manifest.version(), manifest.title(), files);
    }

    private Set<String> earlier() throws IOException {
        return manifest().files().stream().map(Manifest.Entry::path).collect(Collectors.toSet());
    }

    private Manifest manifest() throws IOException {
        Path file = folder.resolve(Manifest.FILE);
        return Files.isRegularFile(file, LinkOption.NOFOLLOW_LINKS)
                ? Manifest.read(Files.readString(file))
                : new Manifest(1, "", List.of());
    }

    /** A list may come from anywhere: none of its paths leads out of the folder. */
    private Path inside(String path) {
        Path target = folder.resolve(path).normalize();
        if (path.isEmpty() || target.equals(folder) || !target.startsWith(folder)) {
            throw new InvalidInput("“" + path + "” lies outside the folder of the delivery: nothing was written.");
        }
        return target;
    }

    private void replace(Path target, WholeFile.Content content) throws IOException {
        WholeFile.makeWay(folder, target);
        WholeFile.writeDurably(target, content);
    }

    /** @return empty for what isn't there */
    private static String digest(Path file) throws IOException {
        if (!Files.isRegularFile(file, LinkOption.NOFOLLOW_LINKS)) {
            return "";
        }
        try (InputStream in = Files.newInputStream(file, LinkOption.NOFOLLOW_LINKS)) {
            MessageDigest digest = MessageDigest.getInstance("SHA-256");
            byte[] some = new byte[1 << 16];
            for (int count = in.read(some); count >= 0; count = in.read(some)) {
                digest.update(some, 0, count);
            }
            return HexFormat.of().formatHex(digest.digest());
        } catch (NoSuchAlgorithmException never) {
            throw new IllegalStateException("Every Java has SHA-256.", never);
        }
    }
}
