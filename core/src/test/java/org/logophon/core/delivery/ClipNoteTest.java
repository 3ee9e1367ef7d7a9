package org.logophon.core.delivery;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.logophon.core.direction.Direction;
import org.logophon.core.direction.mark.Instruction;
import org.logophon.core.direction.mark.Mark;
import org.logophon.core.direction.mark.Marks;
import org.logophon.core.direction.ssml.SsmlCue;
import org.logophon.core.input.InvalidInput;
import org.logophon.core.text.reading.PlacedReading;
import org.logophon.core.text.reading.PronunciationKind;
import org.logophon.core.text.reading.Reading;

/** What a clip carries of its cue. */
class ClipNoteTest {

    private static final String TEXT = "The <lamp> & \"4\" lines.";

    private static ClipNote note(ClipOrigin origin) {
        return new ClipNote(
                "010",
                "O'Hara & \"Sons\" <x>",
                "The top",
                "en-GB",
                origin,
                new SsmlCue(
                        TEXT,
                        "isla",
                        Direction.NONE,
                        Marks.NONE.with(Mark.own(14, 15, new Instruction.Pause(500)), TEXT),
                        List.of(new PlacedReading(
                                5, new Reading("lamp", "lantern", PronunciationKind.WORDS, null, true))),
                        Map.of()));
    }

    @Test
    void whatIsWrittenIsReadAgain() {
        ClipOrigin origin = new ClipOrigin(UUID.randomUUID(), UUID.randomUUID(), UUID.randomUUID());
        ClipNote read = ClipNote.read(note(origin).xml()).orElseThrow();
        assertThat(read.number()).isEqualTo("010");
        assertThat(read.role()).isEqualTo("O'Hara & \"Sons\" <x>");
        assertThat(read.scene()).isEqualTo("The top");
        assertThat(read.language()).isEqualTo("en-GB");
        assertThat(read.origin()).isEqualTo(origin);
        assertThat(read.cue().text()).isEqualTo(TEXT);
        assertThat(read.cue().voice()).isEqualTo("isla");
        assertThat(read.cue().readings()).singleElement().satisfies(place -> {
            assertThat(place.start()).isEqualTo(5);
            assertThat(place.reading().said()).isEqualTo("lantern");
        });
        assertThat(read.cue().marks().all())
                .singleElement()
                .satisfies(mark -> assertThat(mark.instruction()).isEqualTo(new Instruction.Pause(500)));
        assertThat(ClipNote.read(note(null).xml()).orElseThrow().origin()).isNull();
    }

    @Test
    void whatIsNotOursIsNone() {
        assertThat(ClipNote.read("")).isEmpty();
        assertThat(ClipNote.read("Take 4, mixed by the sea")).isEmpty();
        assertThat(ClipNote.read("<speak>Hello.</speak>")).isEmpty();
        assertThat(ClipNote.read("<clip xmlns='urn:other'><speak>Hello.</speak></clip>"))
                .isEmpty();
    }

    @Test
    void whatIsBrokenOrHostileIsToldOrNone() {
        String ours = note(null).xml();
        assertThatThrownBy(() -> ClipNote.read(ours.replace("version=\"1\"", "version=\"9\"")))
                .isInstanceOf(InvalidInput.class)
                .hasMessageContaining("a later Logophon");
        assertThatThrownBy(() -> ClipNote.read(ours.replaceAll("(?s)<voice.*</voice>", "")))
                .isInstanceOf(InvalidInput.class)
                .hasMessageContaining("holds no words");
        assertThatThrownBy(() -> ClipNote.read(ours.substring(0, ours.length() - 40)))
                .isInstanceOf(InvalidInput.class);
        String bomb = "<!DOCTYPE clip [<!ENTITY a 'x'><!ENTITY b SYSTEM 'file:///etc/hostname'>]>"
                + "<clip xmlns='urn:logophon:clip' version='1' number='&b;'><speak>&a;&b;</speak></clip>";
        try {
            assertThat(ClipNote.read(bomb)).isEmpty();
        } catch (InvalidInput refused) {
            assertThat(refused).hasMessageContaining("entities");
        }
    }
}
