package org.logophon.app.services.project;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.logophon.core.direction.Direction;
import org.logophon.core.direction.mark.PauseDefaults;
import org.logophon.core.voice.FixedVoices;
import org.logophon.core.voice.Gender;
import org.logophon.core.voice.RecordedVoice;
import org.logophon.core.voice.Tuning;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.VoiceCatalogue;
import org.logophon.core.voice.take.TakeOrigin.VoiceThen;
import org.logophon.core.voice.take.TakenDirection;

class CueLevelsTest {

    private static final Voice RUFUS =
            new Voice("rufus", "Rufus", "en-US", "English", "United States", Gender.MALE, "flite", "rms", Set.of());
    private static final Tuning DEEPER = new Tuning(90, -2, 100, 0, null, 0);
    private static final Voice EWAN = RUFUS.tuned("ewan", "Ewan", "", DEEPER);
    private static final VoiceCatalogue VOICES = new FixedVoices(List.of(RUFUS, EWAN));
    private static final PauseDefaults RESTS = new PauseDefaults(150, 400, null);

    private static Direction pace(int percent) {
        return new Direction(percent, null, null, null);
    }

    private static Project project(Direction direction) {
        return new Project(
                UUID.randomUUID(),
                null,
                null,
                "Lantern",
                "en",
                null,
                "",
                0,
                null,
                direction,
                0,
                null,
                "",
                null,
                null,
                0,
                0,
                0);
    }

    private static Role keeper(String voice, Direction direction) {
        return new Role("Keeper", 0, voice, direction, RESTS, 30, 0);
    }

    private static Cue cue(Direction direction, TakenDirection taken) {
        return new Cue(
                UUID.randomUUID(),
                0,
                "010",
                "",
                "Keeper",
                "The lamp was lit.",
                4,
                4,
                1,
                null,
                direction,
                0,
                taken,
                null);
    }

    @Test
    void projectRoleAndCueComeTogether() {
        CueLevels levels = CueLevels.of(
                project(pace(90)),
                keeper("rufus", new Direction(80, -1.0, null, null)),
                cue(new Direction(null, -2.0, -3.0, null), null),
                VOICES);
        assertThat(levels.voice()).isEqualTo(RUFUS);
        assertThat(levels.direction().paceFactor()).isCloseTo(0.72, within(1e-9));
        assertThat(levels.direction().semitones()).isEqualTo(-3);
        assertThat(levels.direction().loudnessDb()).isEqualTo(-3);
        assertThat(levels.pauses()).isEqualTo(RESTS);
        assertThat(levels.livelyPercent()).isEqualTo(30);
    }

    @Test
    void nobodySpeaksWhereNobodyIsCast() {
        assertThat(CueLevels.of(
                                project(Direction.NONE),
                                keeper(null, Direction.NONE),
                                cue(Direction.NONE, null),
                                VOICES)
                        .voice())
                .isNull();
        assertThat(CueLevels.of(project(Direction.NONE), null, cue(Direction.NONE, null), VOICES)
                        .pauses())
                .isEqualTo(PauseDefaults.NONE);
    }

    @Test
    void aCueThatWasMadeLikeATakeFollowsTheTakeAndItself() {
        TakenDirection taken = new TakenDirection(
                "T1",
                pace(110),
                Direction.NONE,
                new VoiceThen("rufus", "Rufus", "rufus", Tuning.NONE),
                PauseDefaults.NONE,
                0);
        CueLevels levels = CueLevels.of(
                project(pace(50)), keeper("ewan", pace(50)), cue(new Direction(null, 1.0, null, null), taken), VOICES);
        assertThat(levels.voice()).isEqualTo(RUFUS);
        assertThat(levels.direction().paceFactor()).isEqualTo(1.1);
        assertThat(levels.direction().semitones()).isEqualTo(1);
        assertThat(levels.pauses()).isEqualTo(PauseDefaults.NONE);
    }

    private static Voice then(VoiceThen voice) {
        TakenDirection taken = new TakenDirection("T1", Direction.NONE, Direction.NONE, voice, PauseDefaults.NONE, 0);
        return CueLevels.of(project(Direction.NONE), null, cue(Direction.NONE, taken), VOICES)
                .voice();
    }

    @Test
    void aHouseVoiceSoundsAsItWasTunedThen() {
        assertThat(then(new VoiceThen("ewan", "Ewan", "rufus", DEEPER))).isEqualTo(EWAN);
        Tuning before = new Tuning(80, -4, 100, 0, null, 0);
        assertThat(then(new VoiceThen("ewan", "Ewan", "rufus", before)).tuning())
                .as("tuned otherwise since")
                .isEqualTo(before);
        assertThat(then(new VoiceThen("morwen", "Morwen", "rufus", before)))
                .as("removed since, and made of its base again")
                .extracting(Voice::name, Voice::baseId, Voice::tuning)
                .containsExactly("Morwen", "rufus", before);
        assertThat(then(new VoiceThen("morwen", "Morwen", "gone", before)))
                .as("its base is gone too")
                .isNull();
    }

    @Test
    void aRecordingIsHeardAsItWasSaid() {
        String recording = RecordedVoice.itself("r1", "en").id();
        TakenDirection taken = TakenDirection.recorded("T2", new VoiceThen(recording, "Your recording", null, null));
        CueLevels levels = CueLevels.of(
                project(new Direction(80, null, -6.0, null)),
                keeper("rufus", new Direction(50, 3.0, null, 700)),
                cue(pace(120), taken),
                VOICES);
        assertThat(levels.voice().id()).isEqualTo(recording);
        assertThat(levels.direction().paceFactor()).as("the cue's own").isEqualTo(1.2);
        assertThat(levels.direction().semitones()).isZero();
        assertThat(levels.direction().loudnessDb()).as("of the script").isEqualTo(-6);
        assertThat(levels.direction().pauseMillis()).as("of the role").isEqualTo(700);
        assertThat(levels.pauses()).isEqualTo(PauseDefaults.NONE);
    }
}
