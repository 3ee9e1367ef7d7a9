package org.logophon.core.voice.described;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.logophon.core.voice.Ability;
import org.logophon.core.voice.Age;
import org.logophon.core.voice.Gender;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.figures.Clearness;
import org.logophon.core.voice.figures.VoiceFigures;

class VoiceMatcherTest {

    private static Voice voice(String id, Gender gender, String accent, boolean whispers) {
        return new Voice(
                id,
                id,
                "en-GB",
                "English",
                accent,
                gender,
                "test",
                id,
                whispers ? EnumSet.of(Ability.PACE, Ability.WHISPER) : EnumSet.of(Ability.PACE, Ability.PITCH));
    }

    private static final List<Voice> VOICES = List.of(
            voice("hamish", Gender.MALE, "Scotland", false),
            voice("lorne", Gender.MALE, "Scotland", false),
            voice("aldric", Gender.MALE, "Great Britain", false),
            voice("isla", Gender.FEMALE, "Great Britain", false),
            voice("hush", Gender.MALE, "Scotland", true));
    private static final Map<String, VoiceFigures> FIGURES = Map.of(
            "hamish",
            new VoiceFigures(85.0, 4.0, 190.0, 220.0, 550),
            "lorne",
            new VoiceFigures(115.0, 5.0, 210.0, 240.0, 950),
            "aldric",
            new VoiceFigures(80.0, 3.0, 200.0, 230.0, 900),
            "isla",
            new VoiceFigures(190.0, 4.5, 205.0, 235.0, 1_000),
            "hush",
            new VoiceFigures(null, null, 200.0, 230.0, 1_200));
    private static final VoiceMatcher DESCRIBED = new VoiceMatcher(VOICES, FIGURES, voice -> Optional.empty());

    private static List<Proposal> closest(String words) {
        return DESCRIBED.closest(Description.of(words, DESCRIBED.places()), "en-GB", 6);
    }

    @Test
    void anOldSlowDeepWarmScot() {
        List<Proposal> found = closest("an old, slow, deep man, Scottish, warm");
        assertThat(found).extracting(proposal -> proposal.voice().id()).containsExactly("hamish", "lorne");
        Proposal first = found.get(0);
        assertThat(first.tuning().pacePercent()).isBetween(70, 92);
        assertThat(first.tuning().semitones()).isBetween(-4.0, -0.4);
        assertThat(first.tuning().timbreSemitones()).isNegative();
        assertThat(first.tuning().unnatural()).isEmpty();
        assertThat(first.reasons()).contains("man, English, Scotland", "85 Hz measured: deeper than all the others");
        // the farther voice is tuned further
        assertThat(found.get(1).tuning().semitones()).isLessThan(first.tuning().semitones());
    }

    @Test
    void whatIsNotSaidIsLeftOpenAndWhatIsNotUnderstoodIsListed() {
        assertThat(closest("a woman"))
                .extracting(proposal -> proposal.voice().id())
                .containsExactly("isla");
        assertThat(closest("whispering man").get(0).voice().id()).isEqualTo("hush");
        assertThat(closest("a man from nowhere"))
                .extracting(proposal -> proposal.voice().id())
                .contains("hamish", "aldric")
                .doesNotContain("hush");
        Description description = Description.of("a velvety bagpipe; very deep", Set.of());
        assertThat(description.unknown()).containsExactly("bagpipe");
        assertThat(description.pitch()).isEqualTo(-2);
        assertThat(Description.of("hello <b>", Set.of()).empty()).isTrue();
        assertThat(Description.of("", Set.of()).empty()).isTrue();
    }

    @Test
    void whoIsUnderstoodComesBeforeWhoIsNot() {
        VoiceMatcher heard = new VoiceMatcher(
                VOICES, FIGURES, voice -> Optional.of(new Clearness(voice.equals("lorne") ? 95 : 20, 100)));
        assertThat(heard.closest(Description.of("a deep man", heard.places()), "en-GB", 6))
                .extracting(proposal -> proposal.voice().id())
                .startsWith("lorne");
    }

    @Test
    void aYoungVoiceIsHigherAndLighter() {
        Proposal young = closest("a very young bright woman").get(0);
        assertThat(young.voice().age()).isEqualTo(Age.GROWN);
        assertThat(young.tuning().semitones()).isPositive();
        assertThat(young.tuning().timbreSemitones()).isPositive();
    }
}
