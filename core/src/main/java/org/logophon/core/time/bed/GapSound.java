package org.logophon.core.time.bed;

import org.logophon.core.time.programme.SampleCount;

/**
 * A sound in a gap.
 *
 * @param at      where it begins
 * @param length  after which it has gone, however much longer it is
 * @param levelDb against the voice
 */
public record GapSound(HeardSound sound, SampleCount at, SampleCount length, double levelDb) {}
