package org.logophon.app.steps.cast;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.EnumSet;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.logophon.app.steps.cast.VoiceFilter.Question;
import org.logophon.core.voice.Ability;
import org.logophon.core.voice.Gender;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.figures.Clearness;

class VoiceFilterTest {

    private static final VoiceRow HAMISH = new VoiceRow(
            new Voice(
                    "hamish",
                    "Hamish",
                    "en-GB-scotland",
                    "English",
                    "Scotland",
                    Gender.MALE,
                    "test",
                    "x",
                    EnumSet.of(Ability.PACE, Ability.PITCH)),
            null,
            false,
            new Clearness(210, 232),
            List.of("deep"),
            new VoiceNote(true, 3, "dry and warm", List.of("old men")),
            List.of(),
            null);

    private static VoiceFilter filter(Question question, String value) {
        String[] values = new String[Question.values().length];
        values[question.ordinal()] = value;
        return new VoiceFilter(
                values[0], values[1], values[2], values[3], values[4], values[5], values[6], values[7], values[8],
                values[9], null);
    }

    private static boolean finds(Question question, String value) {
        return filter(question, value).matches().test(HAMISH);
    }

    @Test
    void eachQuestionAsksForItsOwn() {
        assertThat(finds(Question.LANGUAGE, "English")).isTrue();
        assertThat(finds(Question.LANGUAGE, "German")).isFalse();
        assertThat(finds(Question.ACCENT, "Scotland")).isTrue();
        assertThat(finds(Question.ACCENT, "Wales")).isFalse();
        assertThat(finds(Question.SOUNDS, "man")).isTrue();
        assertThat(finds(Question.SOUNDS, "woman")).isFalse();
        assertThat(finds(Question.AGE, "grown")).isTrue();
        assertThat(finds(Question.AGE, "old")).isFalse();
        assertThat(finds(Question.CLEAR, "clear")).as("210 of 232 words").isTrue();
        assertThat(finds(Question.CLEAR, "unknown")).isFalse();
        assertThat(finds(Question.MADE, "not told")).isTrue();
        assertThat(finds(Question.MADE, "formant")).isFalse();
        assertThat(finds(Question.CAN, "pitch")).isTrue();
        assertThat(finds(Question.CAN, "whisper")).isFalse();
        assertThat(finds(Question.COST, "free")).isTrue();
        assertThat(finds(Question.COST, "hired")).isFalse();
        assertThat(finds(Question.LIST, VoiceFilter.SHORTLIST)).isTrue();
        assertThat(finds(Question.LIST, "old men")).isTrue();
        assertThat(finds(Question.LIST, "young men")).isFalse();
    }

    @Test
    void searchLooksAtNameCharacterAndNote() {
        for (String words : new String[] {"HAM", "deep", "warm", "scot", " dry "}) {
            assertThat(finds(Question.SEARCH, words)).as(words).isTrue();
        }
        assertThat(finds(Question.SEARCH, "bright")).isFalse();
    }

    @Test
    void aQuestionIsCountedUnderAllTheOthers() {
        VoiceFilter filter = new VoiceFilter("English", "Wales", "man", null, null, null, null, null, null, null, null);
        assertThat(filter.matches().test(HAMISH)).isFalse();
        assertThat(filter.besides(Question.ACCENT).test(HAMISH)).isTrue();
        assertThat(filter.besides(Question.SOUNDS).test(HAMISH)).isFalse();
    }
}
