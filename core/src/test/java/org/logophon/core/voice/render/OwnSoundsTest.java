package org.logophon.core.voice.render;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.logophon.core.direction.ResolvedDirection;
import org.logophon.core.direction.mark.Instruction;
import org.logophon.core.direction.mark.Mark;
import org.logophon.core.text.reading.Pronunciation;
import org.logophon.core.voice.Ability;
import org.logophon.core.voice.Age;
import org.logophon.core.voice.Gender;
import org.logophon.core.voice.Terms;
import org.logophon.core.voice.Voice;

/** Another language in a voice's own sounds. */
class OwnSoundsTest {

    private static final String TEXT = "She said bonjour to me.";
    private static final SpokenSounds FRENCH =
            (words, tag) -> tag.equals("fr") ? Optional.of("bɔ̃ʒˈuʁ") : Optional.empty();

    private static Voice voice(String language, Ability... can) {
        return new Voice(
                "v",
                "Isla",
                language,
                "",
                "",
                Gender.FEMALE,
                Age.GROWN,
                List.of(),
                "e",
                "v",
                Set.of(can),
                Set.of(can),
                List.of(),
                Terms.FREE);
    }

    private static List<Mark> marked(String value) {
        return List.of(Mark.own(9, 16, Instruction.of("language", value)));
    }

    @Test
    void theWordsBecomeReadingsInSoundsOfTheVoice() {
        OwnSounds own = OwnSounds.of(TEXT, marked("fr own"), voice("en-GB", Ability.IPA), FRENCH);
        assertThat(own.said()).containsExactly(new Pronunciation(9, 16, "bɔnʒˈuɹ", true));
        assertThat(own.missing()).isEmpty();
        Pronunciation reading = new Pronunciation(0, 3, "Shee", false);
        assertThat(own.with(List.of(reading)))
                .containsExactly(reading, own.said().get(0));
        Pronunciation chosen = new Pronunciation(9, 16, "bon zhoor", false);
        assertThat(own.with(List.of(chosen))).as("what somebody wrote holds").containsExactly(chosen);
    }

    @Test
    void whatCannotBeDoneIsSaid() {
        assertThat(OwnSounds.of(TEXT, marked("fr own"), voice("en-GB"), FRENCH).missing())
                .containsExactly("Isla can't say French in its own sounds: its engine takes no IPA. Let a voice of "
                        + "that language say the words, or cast one that can.");
        assertThat(OwnSounds.of(TEXT, marked("fr own"), voice("de", Ability.IPA), FRENCH)
                        .missing())
                .hasSize(1);
        assertThat(OwnSounds.of(TEXT, marked("tlh own"), voice("en", Ability.IPA), FRENCH)
                        .missing())
                .singleElement()
                .asString()
                .startsWith("Nobody here knows what");
        assertThat(OwnSounds.of(TEXT, marked("fr"), voice("en", Ability.IPA), FRENCH))
                .as("by a voice that speaks it")
                .isEqualTo(new OwnSounds(List.of(), List.of()));
    }

    @Test
    void itIsWrittenAndReadBack() {
        Instruction.Language own = (Instruction.Language) Instruction.of("language", "fr-CA own");
        assertThat(own.ownSounds()).isTrue();
        assertThat(own.tag()).isEqualTo("fr-CA");
        assertThat(own.value()).isEqualTo("fr-CA own");
        assertThat(VoiceParts.of(
                                TEXT,
                                marked("fr own"),
                                new Speaker(voice("en", Ability.IPA), "1", ResolvedDirection.NEUTRAL),
                                Speakers.NONE,
                                any -> List.of())
                        .pieces())
                .as("nobody else speaks")
                .isEmpty();
    }
}
