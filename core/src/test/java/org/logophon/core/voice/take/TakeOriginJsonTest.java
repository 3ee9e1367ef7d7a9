package org.logophon.core.voice.take;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.logophon.core.direction.Direction;
import org.logophon.core.direction.mark.Instruction;
import org.logophon.core.direction.mark.Mark;
import org.logophon.core.direction.mark.MarkKind;
import org.logophon.core.direction.mark.PauseDefaults;
import org.logophon.core.direction.style.Style;
import org.logophon.core.signal.effect.Effect;
import org.logophon.core.text.reading.Pronunciation;
import org.logophon.core.text.reading.PronunciationKind;
import org.logophon.core.voice.Tuning;

class TakeOriginJsonTest {

    private static final List<Mark> EVERY_KIND = List.of(
            Mark.own(0, 3, new Instruction.Pause(350)),
            Mark.own(0, 3, new Instruction.Breath(Instruction.Depth.DEEP)),
            Mark.own(0, 3, new Instruction.Stress(Instruction.Level.STRONG)),
            Mark.own(0, 3, new Instruction.OwnSound(800, -12.5, "Ship’s bell")),
            Mark.own(0, 3, new Instruction.Pace(85)),
            Mark.own(0, 3, new Instruction.Pitch(-1.25)),
            Mark.own(0, 3, new Instruction.Range(140)),
            Mark.own(0, 3, new Instruction.Volume(-2.5)),
            Mark.own(0, 3, new Instruction.Whisper()),
            Mark.own(0, 3, new Instruction.InStyle(Style.values()[0], 60)),
            Mark.own(0, 3, new Instruction.ReadAs(PronunciationKind.WORDS, "two point three tonnes")),
            Mark.own(0, 3, new Instruction.Language("cy")),
            new Mark(4, 8, new Instruction.SpokenBy("Keeper"), Mark.Origin.SUGGESTED, "a quotation"));

    private static TakeOrigin origin() {
        return new TakeOrigin(
                "The “lens” weighs 2.3 t. \u0001 灯",
                "Narrator",
                new TakeOrigin.VoiceThen("house-1", "Old Isla", "isla", new Tuning(95, -2, 120, -1.5, Effect.HALL, 30)),
                "espeak-ng 1.51",
                new Direction(90, null, null, 1_200),
                Direction.NONE,
                new Direction(null, 1.5, 80, -3.0, null, Effect.SMALL_SPEAKER, 40, "calm", 70),
                new PauseDefaults(200, null, 400),
                35,
                7L,
                EVERY_KIND.stream().map(TakeOrigin.MarkThen::of).toList(),
                List.of(new Pronunciation(17, 22, "two point three tonnes", false)),
                0.9,
                -0.5,
                "range 80 %");
    }

    @Test
    void everythingThatMadeATakeComesBack() {
        TakeOrigin back = TakeOriginJson.read(TakeOriginJson.write(origin()));
        assertThat(back).isEqualTo(origin());
        assertThat(back.standing().all()).containsExactlyInAnyOrderElementsOf(EVERY_KIND);
        assertThat(EVERY_KIND).extracting(mark -> mark.instruction().kind()).contains(MarkKind.values());
    }

    @Test
    void aRecordingKnowsItsWordsAlone() {
        TakeOrigin recorded = TakeOrigin.spoken("Wind from the west.", "Keeper", null);
        assertThat(TakeOriginJson.read(TakeOriginJson.write(recorded))).isEqualTo(recorded);
        assertThat(recorded.standing().all()).isEmpty();
    }

    @Test
    void whatAnotherVersionAddsIsPassedOverAndALaterOneIsSaid() {
        String json = TakeOriginJson.write(origin());
        assertThat(json).startsWith("{\"version\":1,");
        assertThat(TakeOriginJson.read(json.replaceFirst("\\{", "{\"mood\":{\"deep\":[1]},")))
                .isEqualTo(origin());
        assertThatThrownBy(() -> TakeOriginJson.read(json.replaceFirst("\"version\":1", "\"version\":9")))
                .hasMessageContaining("version 9");
        assertThatThrownBy(() -> TakeOriginJson.read("[")).hasMessage("What made this take can't be read.");
    }

    @Test
    void aTakeFromBeforeThisWasKeptKnowsLittleOfItself() {
        TakeOrigin early = TakeOriginJson.read(
                "{\"version\":1,\"text\":\"Wind.\",\"paceFactor\":0.9,\"semitones\":-1,\"treatment\":\"\"}");
        assertThat(early.marks()).isNull();
        assertThat(early.standing().all()).isEmpty();
        assertThat(early.paceFactor()).isEqualTo(0.9);
    }
}
