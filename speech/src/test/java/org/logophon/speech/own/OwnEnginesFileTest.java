package org.logophon.speech.own;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.logophon.core.voice.Ability;
import org.logophon.core.voice.Age;
import org.logophon.core.voice.Gender;
import org.logophon.core.voice.Making;
import org.logophon.core.voice.Voice;

class OwnEnginesFileTest {

    private static final String RIGHT = """
            engines:
            - id: reader
              command: [/bin/cat, "{voice}"]
              voices:
              - {id: ada, name: Ada, language: en-GB, voice: one, gender: woman}
            """;

    private static List<String> wrong(String text) {
        return OwnEnginesFile.parse(text).wrong();
    }

    /** The file that the documentation shows is right on a machine that has its programs. */
    @Test
    void theDocumentedFileIsRight() {
        OwnEnginesFile file = OwnEnginesFile.read(Path.of("../docs/engines.yaml"));
        assertThat(file.wrong()).isEmpty();
        assertThat(file.voices())
                .extracting(Voice::id)
                .containsExactly("own-pipe-wren", "own-pipe-matteo", "own-file-hester");
        Voice wren = file.voices().get(0);
        assertThat(wren.byItself()).containsExactlyInAnyOrder(Ability.PACE, Ability.PITCH);
        assertThat(wren.canDo()).contains(Ability.RANGE, Ability.WORD_TIMES);
        assertThat(wren.gender()).isEqualTo(Gender.FEMALE);
        assertThat(wren.age()).isEqualTo(Age.YOUNG);
        assertThat(wren.making()).isEqualTo(Making.FORMANT);
        assertThat(wren.speaks()).isEqualTo("English, United Kingdom");
        assertThat(wren.terms().mostCharacters()).isEqualTo(2_000);
        assertThat(file.voices().get(2).byItself()).isEmpty();
    }

    @Test
    void nothingIsNoFault() {
        assertThat(OwnEnginesFile.parse("")).isEqualTo(OwnEnginesFile.NONE);
        assertThat(OwnEnginesFile.parse("# later\n")).isEqualTo(OwnEnginesFile.NONE);
        assertThat(wrong(RIGHT)).isEmpty();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '`',
            value = {
                "`command: [/bin/cat, \"{voice}\"]` | `command: [cat, \"{voice}\"]` | line 2: “cat” is no program",
                "`command: [/bin/cat, \"{voice}\"]` | `command: [/bin/nothing, \"{voice}\"]` | line 2: "
                        + "“/bin/nothing” is no program",
                "`command: [/bin/cat, \"{voice}\"]` | `command: [/bin, \"{voice}\"]` | line 2: “/bin” is no program",
                "`command: [/bin/cat, \"{voice}\"]` | `text: input` | line 2: an engine needs “command”",
                "`\"{voice}\"` | `\"{voices}\"` | line 2: “command” has no place {voices}",
                "`\"{voice}\"` | `\"{voice}\", \"{text}\"` | line 2: {text} stands in “command” when “text” is “file”",
                "`\"{voice}\"` | `\"{voice}\", \"{pace}\"` | line 2: {pace} stands in “command” when “pace” says",
                "`gender: woman` | `gender: alto` | line 5: “gender” is man or woman, not “alto”",
                "`gender: woman` | `gendre: woman` | line 5: a voice has no “gendre”. What it has: age, "
                        + "character, gender",
                "`gender: woman` | `gendre: woman` | line 5: a voice needs “gender”",
                "`language: en-GB` | `language: English (UK)` | line 5: “English (UK)” is no language",
                "`voice: one, ` | `` | line 5: a voice needs “voice”",
                "`id: reader` | `id: Reader One` | line 2: an “id” is small letters",
                "`- id: reader` | `- id: reader\n  limits: {seconds: 100000}` | line 3: “seconds” goes from 1 to 600",
                "`- id: reader` | `- id: reader\n  limits: {seconds: soon}` | line 3: “seconds” is a "
                        + "number, and “soon” is none",
                "`- id: reader` | `- id: reader\n  limits: {seconds: [1]}` | line 3: “seconds” is a "
                        + "number, and there is none",
                "`- id: reader` | `- id: reader\n  pace: {way: added, semitone: 1}` | line 3: “way” is "
                        + "divided or multiplied, not “added”",
                "`- id: reader` | `- id: reader\n  limits: 5` | line 3: “limits” is keys with values",
                "`engines:` | `engine:` | line 1: the file has no “engine”. What it has: engines",
                "`voices:` | `voices: [` | this isn't YAML",
                "`- id: reader` | `- just a word\n- id: reader` | line 2: an engine is keys with values"
            })
    void whatIsWrongIsSaidWithItsLine(String right, String bad, String sentence) {
        assertThat(RIGHT).contains(right);
        String text = RIGHT.replace(right, bad == null ? "" : bad.replace("\\n", "\n"));
        assertThat(wrong(text))
                .as(text)
                .anyMatch(said -> said.contains(sentence))
                .allMatch(said -> said.endsWith("."));
    }

    @Test
    void everythingIsSaidAtOnceAndWhatIsRightIsUsed() {
        String two = RIGHT + """
                - id: other
                  command: [/nowhere]
                  voices:
                  - {id: a b, name: A, language: 7, gender: x, shoe: 9}
                """;
        OwnEnginesFile file = OwnEnginesFile.parse(two);
        assertThat(file.wrong()).hasSize(5);
        assertThat(file.engines()).extracting(OwnEngine::id).containsExactly("reader");
    }

    @Test
    void twoOfOneIdAreTold() {
        assertThat(wrong(RIGHT + RIGHT.substring(RIGHT.indexOf("- id"))))
                .containsExactly("line 6: the id “reader” stands twice.");
    }

    /** References that multiply themselves, depths without end, tags that make objects. */
    @Test
    void aHostileFileIsRefused(@TempDir Path folder) throws IOException {
        StringBuilder bomb = new StringBuilder("a: &a [x, x, x, x, x, x, x, x, x]\n");
        for (char c = 'b'; c < 'j'; c++) {
            bomb.append("%c: &%c [*%c, *%c, *%c, *%c, *%c, *%c]%n"
                    .formatted(c, c, c - 1, c - 1, c - 1, c - 1, c - 1, c - 1));
        }
        for (String text : List.of(
                bomb.toString(),
                "[".repeat(5_000),
                "!!javax.script.ScriptEngineManager []",
                "engines: !!java.net.URL [x]",
                "\u0000\u0001",
                "a: 1\na: 2")) {
            assertThat(OwnEnginesFile.parse(text).engines()).isEmpty();
            assertThat(wrong(text)).isNotEmpty();
        }
        Path large = Files.writeString(folder.resolve("large.yaml"), "#".repeat(2_000_000));
        assertThat(OwnEnginesFile.read(large).wrong())
                .containsExactly("It is larger than 1 MB, too large for a list of engines.");
        assertThat(OwnEnginesFile.read(folder.resolve("none.yaml")).wrong())
                .singleElement()
                .asString()
                .contains("can't be read");
        Path binary = Files.write(folder.resolve("binary.yaml"), new byte[] {(byte) 0xc3, 0x28});
        assertThat(OwnEnginesFile.read(binary).wrong())
                .singleElement()
                .asString()
                .contains("UTF-8");
    }
}
