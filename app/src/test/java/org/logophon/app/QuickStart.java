package org.logophon.app;

import java.io.File;
import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.jar.JarOutputStream;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import org.springframework.util.FileSystemUtils;

/**
 * What lets servers of the tests start quickly: an archive of their classes, and a database that has its tables. A
 * first server makes both.
 *
 * @param root     a folder with the launcher and the classes that are tested, as if they were built there
 * @param options  of Java, for the archive
 * @param database from which others are copied; nobody is connected to it
 */
record QuickStart(Path root, List<String> options, String database) {

    private static QuickStart made;

    QuickStart {
        options = List.copyOf(options);
    }

    static synchronized QuickStart get() {
        if (made == null) {
            try {
                made = make();
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
                throw new IllegalStateException(e);
            }
        }
        return made;
    }

    private static QuickStart make() throws IOException, InterruptedException {
        Path folder = Files.createTempDirectory("logophon-quick");
        Runtime.getRuntime().addShutdownHook(new Thread(() -> delete(folder)));
        Path root = Files.createDirectories(folder.resolve("root"));
        lay(root);
        String database = ServerProcess.emptyDatabase("quick");
        Path archive = folder.resolve("classes.jsa");
        QuickStart slow =
                new QuickStart(root, List.of("-XX:ArchiveClassesAtExit=" + archive, "-Xlog:disable"), database);
        List<String> settings = List.of(
                "--spring.datasource.url=" + ServerProcess.source(database).getUrl());
        try (ServerProcess first = ServerProcess.start(slow, folder.resolve("first.log"), settings)) {
            first.meet().get("/");
        }
        return new QuickStart(root, List.of("-XX:SharedArchiveFile=" + archive, "-Xlog:disable"), database);
    }

    /** As the launcher names it: what a folder holds has one order, and an archive wants it. */
    String classpath() {
        return root.resolve("app/target/classes") + File.pathSeparator + root.resolve("app/target/lib/*");
    }

    /** The launcher itself, on the classes that are tested instead of those that it would build. */
    private static void lay(Path root) throws IOException {
        Files.copy(Path.of("..", "logophon"), root.resolve("logophon")).toFile().setExecutable(true);
        Files.createFile(root.resolve("pom.xml"));
        Files.createDirectories(root.resolve("app/src/main"));
        Files.createFile(root.resolve("app/pom.xml"));
        Path library = Files.createDirectories(root.resolve("app/target/lib"));
        // an archive holds no classes from folders
        jar(Path.of("target", "classes"), root.resolve("app/target/classes"));
        for (String entry : System.getProperty("java.class.path").split(File.pathSeparator)) {
            Path path = Path.of(entry).toAbsolutePath();
            if (Files.isRegularFile(path)) {
                Files.createSymbolicLink(library.resolve(path.getFileName()), path);
            } else if (Files.isDirectory(path)
                    && !path.startsWith(Path.of("target").toAbsolutePath())) {
                jar(path, library.resolve(path.getParent().getParent().getFileName() + ".jar"));
            }
        }
        Files.createDirectories(root.resolve("target"));
        Files.createFile(root.resolve("target/built"));
    }

    private static void jar(Path classes, Path jar) throws IOException {
        try (OutputStream file = Files.newOutputStream(jar);
                JarOutputStream out = new JarOutputStream(file);
                Stream<Path> all = Files.walk(classes)) {
            for (Path one : all.sorted().toList()) {
                String name = classes.relativize(one).toString() + (Files.isDirectory(one) ? "/" : "");
                if (name.length() > 1) {
                    out.putNextEntry(new ZipEntry(name));
                    if (!Files.isDirectory(one)) {
                        Files.copy(one, out);
                    }
                    out.closeEntry();
                }
            }
        }
    }

    private static void delete(Path folder) {
        try {
            FileSystemUtils.deleteRecursively(folder);
        } catch (IOException stays) {
            System.err.println("The folder of the archive stays: " + stays.getMessage());
        }
    }
}
