/**
 * Sound as numbers: samples and their sources, WAV files, pitch, loudness, effects, and changing pace, pitch and
 * melody. Nothing here knows of words or voices.
 *
 * <p>Depends on {@code input}. Begin with {@link org.logophon.core.signal.sound.Sound}, then
 * {@link org.logophon.core.signal.pitch.PitchMeter} and {@link org.logophon.core.signal.prosody.VoiceReshaper}.
 */
package org.logophon.core.signal;
