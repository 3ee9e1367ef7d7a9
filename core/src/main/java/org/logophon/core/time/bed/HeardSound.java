package org.logophon.core.time.bed;

import org.logophon.core.signal.loudness.EnergyProfile;
import org.logophon.core.signal.sound.SoundSource;

/**
 * A sound file as it is used: trimmed, at 48 kHz, with what is known of its loudness.
 *
 * @param ownDb how much louder it shall be than others at the same level
 */
public record HeardSound(SoundSource source, EnergyProfile profile, double ownDb) {}
