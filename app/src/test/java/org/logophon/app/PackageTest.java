package org.logophon.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.File;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;

/** The Debian package, installed by dpkg into a folder of its own: started, brought to another version, removed. */
@Execution(ExecutionMode.CONCURRENT)
class PackageTest extends Launched {

    private final Path tree = home.resolve("tree");
    private final Path system = home.resolve("system");

    /** What a package is made of: the script, the classes that are tested, and what they need. */
    private void lay() throws Exception {
        Path library = Files.createDirectories(tree.resolve("app/target/lib"));
        Files.copy(Path.of("..", "logophon"), tree.resolve("logophon")).toFile().setExecutable(true);
        for (String entry : System.getProperty("java.class.path").split(File.pathSeparator)) {
            Path jar = Path.of(entry).toAbsolutePath();
            if (Files.isRegularFile(jar)) {
                Files.createSymbolicLink(library.resolve(jar.getFileName()), jar);
            }
        }
        // modules that were built in the same run are folders of classes on the path, and jars beside them
        for (String module : List.of("core", "documents", "speech")) {
            Path jar = library.resolve("logophon-" + module + "-0.1.0.jar");
            if (!Files.exists(jar)) {
                Path built = Path.of("..", module, "target").resolve(jar.getFileName());
                Files.createSymbolicLink(jar, built.toAbsolutePath().normalize());
            }
        }
        Files.createSymbolicLink(
                tree.resolve("app/target/classes"), Path.of("target", "classes").toAbsolutePath());
        said(0, "cp", "-r", Path.of("..", "packaging").toAbsolutePath().toString(), tree.toString());
    }

    private Path built(String version) throws Exception {
        Path file = home.resolve("logophon_" + version + ".deb");
        said(0, tree.resolve("packaging/build").toString(), version, file.toString());
        return file;
    }

    /** What a command says. */
    private String said(int status, String... command) throws Exception {
        Path log = home.resolve("said.log");
        ProcessBuilder builder = new ProcessBuilder(command).directory(tree.toFile());
        builder.environment().put("TMPDIR", home.toString());
        Process process =
                builder.redirectErrorStream(true).redirectOutput(log.toFile()).start();
        assertThat(process.waitFor()).as(read(log)).isEqualTo(status);
        return read(log);
    }

    private String dpkg(String... words) throws Exception {
        List<String> command = new ArrayList<>(List.of(
                "dpkg",
                "--root=" + system,
                "--log=" + home.resolve("dpkg.log"),
                "--force-not-root",
                "--force-depends",
                "--force-script-chrootless",
                "--force-confold"));
        command.addAll(List.of(words));
        return said(0, command.toArray(String[]::new));
    }

    private void laySystem() throws IOException {
        for (String folder : List.of("info", "updates", "triggers")) {
            Files.createDirectories(system.resolve("var/lib/dpkg").resolve(folder));
        }
        Files.createFile(system.resolve("var/lib/dpkg/status"));
        Files.createFile(system.resolve("var/lib/dpkg/available"));
    }

    @Test
    @Execution(ExecutionMode.SAME_THREAD)
    void itIsInstalledStartedBroughtToAnotherVersionAndRemoved() throws Exception {
        lay();
        laySystem();
        dpkg("-i", built("0.1.0").toString());
        assertThat(dpkg("-s", "logophon")).contains("Status: install ok installed", "Version: 0.1.0");

        int port = freePort();
        Path log = home.resolve("packaged.log");
        // other jars at other places: the archive of the classes that are tested is none of theirs
        Map<String, String> plain = Map.of("JDK_JAVA_OPTIONS", "-XX:TieredStopAtLevel=1");
        Process service = begin(system.resolve("usr/bin/logophon"), port, log, plain, "start");
        await("the installed one is ready, or ended", () -> read(log).contains("is ready") || !service.isAlive());
        assertThat(read(log)).contains("is ready");
        assertThat(shelf(port)).isEqualTo(200);
        assertThat(read(log)).doesNotContain("Building", "Installing");
        service.destroy();
        service.waitFor();

        // what was set stays as it was set, and what was kept is there
        Path settings = system.resolve("etc/default/logophon");
        Files.writeString(settings, "LOGOPHON_HEAP=300m\n");
        dpkg("-i", built("0.2.0").toString());
        assertThat(dpkg("-s", "logophon")).contains("Version: 0.2.0");
        assertThat(settings).hasContent("LOGOPHON_HEAP=300m");

        Files.createDirectories(system.resolve("var/lib/logophon"));
        dpkg("-r", "logophon");
        assertThat(system.resolve("usr/lib/logophon")).doesNotExist();
        assertThat(system.resolve("lib/systemd/system/logophon.service")).doesNotExist();
        assertThat(settings).exists();
        assertThat(dpkg("-P", "logophon")).contains("The projects stay in /var/lib/logophon");
        assertThat(settings).doesNotExist();
        assertThat(system.resolve("var/lib/logophon")).isDirectory();
    }

    /** By systemd's own measure, 0 to 10, where 9 and more is unsafe; a service without any of this has 9.6. */
    @Test
    @Execution(ExecutionMode.SAME_THREAD)
    void theServiceMayDoLittle() throws Exception {
        Path unit = Files.copy(Path.of("..", "packaging", "logophon.service"), home.resolve("logophon.service"));
        Files.createDirectories(tree);
        assertThat(said(0, "systemd-analyze", "security", "--offline=true", "--threshold=30", unit.toString()))
                .contains("NoNewPrivileges", "PrivateTmp")
                .doesNotContain("Failed");
    }
}
