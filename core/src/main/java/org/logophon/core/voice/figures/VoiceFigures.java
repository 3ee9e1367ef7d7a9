package org.logophon.core.voice.figures;

/**
 * The measurements of a voice that read its {@link MeasuringPassage} at its own pace and pitch. A null is what could
 * not be measured.
 *
 * @param medianPitchHz       over voiced speech; null for a whisper
 * @param pitchRangeSemitones between the 10th and the 90th percentile of the pitch; null for a whisper
 * @param wordsPerMinute      pauses included; null where the passage's words can't be counted
 * @param syllablesPerMinute  pauses included
 * @param brightnessHz        centre of gravity of the power spectrum up to 8 kHz
 */
public record VoiceFigures(
        Double medianPitchHz,
        Double pitchRangeSemitones,
        Double wordsPerMinute,
        Double syllablesPerMinute,
        double brightnessHz) {}
