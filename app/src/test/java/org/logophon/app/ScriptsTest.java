package org.logophon.app;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.impl.driver.Driver;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.net.URI;
import java.net.URL;
import java.nio.charset.StandardCharsets;
import java.nio.file.FileSystem;
import java.nio.file.FileSystems;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Properties;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;

/**
 * The pages' scripts without a page: their types and names are checked by TypeScript's compiler, and modules that need
 * no page are tested as what they are. Both run on the Node.js that the browser driver brings along.
 */
@Execution(ExecutionMode.CONCURRENT)
class ScriptsTest {

    private static final Path TESTS = Path.of("src", "test", "js").toAbsolutePath();

    private static final String TYPESCRIPT = "META-INF/maven/org.webjars.npm/typescript/pom.properties";
    private static final String COMPILER = "META-INF/resources/webjars/typescript/%s/lib/_tsc.js";

    @Test
    void namesArgumentsAndTypesOfAllModulesAgree(@TempDir Path folder) throws Exception {
        assertThat(node(List.of(
                        compiler(folder).toString(),
                        "-p",
                        TESTS.resolve("tsconfig.json").toString())))
                .isEmpty();
    }

    @Test
    void modulesWithoutAPageDoWhatTheyShould() throws Exception {
        List<String> command = new ArrayList<>(List.of("--no-warnings", "--test-reporter=tap", "--test"));
        try (Stream<Path> files = Files.list(TESTS)) {
            files.map(Path::toString)
                    .filter(file -> file.endsWith(".test.mjs"))
                    .sorted()
                    .forEach(command::add);
        }
        assertThat(node(command)).contains("# fail 0").doesNotContain("# pass 0");
    }

    /** What it said, also in failing. */
    private static String node(List<String> arguments) throws IOException, InterruptedException {
        List<String> command = new ArrayList<>();
        command.add(Driver.ensureDriverInstalled(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1"), false)
                .createProcessBuilder()
                .command()
                .get(0));
        command.addAll(arguments);
        ProcessBuilder builder = new ProcessBuilder(command).redirectErrorStream(true);
        // TAP is what a test can read
        builder.environment().remove("NODE_OPTIONS");
        Process process = builder.start();
        process.getOutputStream().close();
        String said = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        assertThat(process.waitFor()).as(said).isZero();
        return said;
    }

    /** The compiler of the jar on the classpath, laid out in a folder. */
    private static Path compiler(Path folder) throws IOException {
        ClassLoader classes = ScriptsTest.class.getClassLoader();
        Properties jar = new Properties();
        try (InputStream told = classes.getResourceAsStream(TYPESCRIPT)) {
            jar.load(told);
        }
        URL file = classes.getResource(COMPILER.formatted(jar.getProperty("version")));
        String[] parts = file.toString().split("!", 2);
        try (FileSystem inside = FileSystems.newFileSystem(URI.create(parts[0]), Map.of());
                Stream<Path> files = Files.list(inside.getPath(parts[1]).getParent())) {
            files.filter(Files::isRegularFile).forEach(one -> copy(one, folder));
        }
        return folder.resolve("_tsc.js");
    }

    private static void copy(Path file, Path folder) {
        try {
            Files.copy(file, folder.resolve(file.getFileName().toString()));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
