package org.logophon.cli.input;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.logophon.cli.EnginesTrial;

/** A file of engines is tried before it is used. */
class OwnEnginesTest {

    @TempDir
    private Path folder;

    private String tried(String text, int status) throws Exception {
        Path file = Files.writeString(folder.resolve("engines.yaml"), text);
        StringWriter out = new StringWriter();
        assertThat(new EnginesTrial(new PrintWriter(out)).of(file)).isEqualTo(status);
        return out.toString().replace(file.toString(), "engines.yaml");
    }

    private static final String ONE = """
            engines:
            - id: talker
              command: [/usr/bin/espeak-ng, --stdin, --stdout, -s, "{pace}"]
              pace: {way: multiplied, normal: 175}
              voices: [{id: ada, name: Ada, language: en-GB, gender: man}]
            """;

    @Test
    void whatIsRightSpeaksAndIsMeasured() throws Exception {
        assertThat(tried(ONE, ExitStatus.DONE))
                .containsPattern("own-talker-ada speaks: \\d+\\.\\d s of sound at 22,050 Hz in \\d")
                .containsPattern("asked for pace 125 % it gives 1[12]\\d %\\.");
    }

    @Test
    void aDialThatGoesTheWrongWayIsHeard() throws Exception {
        assertThat(tried(ONE.replace("multiplied", "divided"), ExitStatus.DONE)).contains("see “pace” of its engine");
    }

    @Test
    void whatIsWrongIsSaidBeforeItIsUsed() throws Exception {
        assertThat(tried(ONE.replace("gender: man", "gender: alto"), ExitStatus.INPUT_UNUSABLE))
                .isEqualToIgnoringNewLines("engines.yaml, line 5: “gender” is man or woman, not “alto”.");
        assertThat(tried(ONE.replace("--stdout", "--no-such-option"), ExitStatus.FAILED))
                .contains("own-talker-ada doesn't speak: talker ");
        assertThat(tried("", ExitStatus.DONE)).contains("names no engine");
    }

    @Test
    void theEnvironmentNamesTheFile() throws Exception {
        Path file = Files.writeString(folder.resolve("mine.yaml"), ONE);
        OwnEngines own = OwnEngines.of(Map.of(OwnEngines.FILE, file.toString()));
        assertThat(own.voices()).singleElement().extracting("id").isEqualTo("own-talker-ada");
        assertThat(OwnEngines.of(Map.of()).voices()).isEmpty();
        assertThat(OwnEngines.of(Map.of(
                                OwnEngines.FILE, folder.resolve("none.yaml").toString()))
                        .warnings())
                .singleElement()
                .asString()
                .contains("none.yaml, It can't be read");
    }
}
