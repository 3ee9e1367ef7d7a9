package org.logophon.speech;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.logophon.core.voice.Age;
import org.logophon.core.voice.Gender;
import org.logophon.core.voice.Making;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.figures.Clearness;
import org.logophon.core.voice.figures.ClearnessTable;
import org.logophon.core.voice.figures.VoiceFigures;

/** The people that ship: told apart by ear, and understood. */
class CastVoicesTest {

    private static final List<Voice> ALL = NativeVoices.catalogue().all();
    private static final List<Voice> CAST =
            ALL.stream().filter(Voice::ofTheCast).toList();

    /** Ours: at most so many words are missed by the recogniser that the table names. */
    private static final double MOST_MISSED_PERCENT = 12;

    @Test
    void thereAreYoungGrownAndOldMenAndWomen() {
        assertThat(CAST).hasSizeGreaterThanOrEqualTo(16).allSatisfy(voice -> {
            assertThat(voice.ofTheHouse()).isFalse();
            assertThat(voice.language()).startsWith("en");
            assertThat(voice.character()).isNotEmpty();
        });
        for (Gender gender : Gender.values()) {
            for (Age age : List.of(Age.YOUNG, Age.GROWN, Age.OLD)) {
                assertThat(CAST)
                        .as(gender + " " + age)
                        .anyMatch(voice -> voice.gender() == gender && voice.age() == age);
            }
        }
    }

    @Test
    void everyOneIsUnderstood() {
        for (Voice voice : CAST) {
            Clearness clearness = ClearnessTable.shipped().of(voice.id()).orElseThrow();
            assertThat(clearness.missedPercent()).as(voice.id()).isLessThanOrEqualTo(MOST_MISSED_PERCENT);
        }
    }

    @Test
    void noTwoAreTakenForOneAnother() {
        Map<Voice, VoiceFigures> figures = SharedSpeech.some(CAST).parallelStream()
                .collect(Collectors.toMap(voice -> voice, SharedSpeech::figures));
        List<String> alike = new ArrayList<>();
        for (Voice one : figures.keySet()) {
            for (Voice other : figures.keySet()) {
                VoiceFigures a = figures.get(one);
                VoiceFigures b = figures.get(other);
                boolean near = 12 * Math.abs(Math.log(a.medianPitchHz() / b.medianPitchHz())) / Math.log(2) < 1.5
                        && apart(a.brightnessHz(), b.brightnessHz()) < 0.05
                        && apart(a.wordsPerMinute(), b.wordsPerMinute()) < 0.06;
                if (near && one.id().compareTo(other.id()) < 0) {
                    alike.add(one.id() + " and " + other.id());
                }
            }
        }
        assertThat(alike).isEmpty();
    }

    private static double apart(double a, double b) {
        return Math.abs(a - b) / Math.min(a, b);
    }

    @Test
    void everyVoiceSaysHowItIsMade() {
        assertThat(ALL).allSatisfy(voice -> assertThat(voice.making()).isNotEqualTo(Making.UNTOLD));
    }
}
