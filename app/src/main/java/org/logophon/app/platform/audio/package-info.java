/**
 * Sound as it lies in the database: each sound once, under the hash of its samples, in pieces of a fixed size, written
 * and read as a stream.
 *
 * <p>Sound ({@code audio}) lies in the database under the hash of its samples, in pieces of 256 kB. {@code
 * SoundSource} reads any stretch of a sound in blocks; finishing ({@code ClipFinisher}: rate, loudness, limiter) is
 * such a source over another, so a clip is levelled once and its samples are made as they are played or packed, never
 * held. How much is rendered at once is bounded by the memory that it takes ({@code SpeechMaker}).
 */
package org.logophon.app.platform.audio;
