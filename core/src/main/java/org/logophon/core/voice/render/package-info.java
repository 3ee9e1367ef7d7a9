/**
 * From a cue's text and direction to speech: what an engine is given, what it gives back, and how the core closes the
 * gap between what was asked for and what the engine did.
 *
 * <p>What is asked is measured. An engine asked for +4 semitones gives about +3. {@code Narrator} renders the cue's
 * own words at the voice's own pace and pitch, measures, and asks again until pace and pitch are close; what is left,
 * and what an engine can't do, is closed in the signal by pitch-synchronous overlap-add ({@code VoiceReshaper}).
 * Marks ({@code MarkRenderer}) are one pass over the whole cue with a contour, so that nothing is spliced; then
 * loudness, whisper, rests and breaths, measured and done again by the difference. What a voice said last is kept
 * before its marks, so a change of marks asks no engine again. Kinds of marks and their ranges are one table ({@code
 * MarkKind}, {@code Dial}), which the pages read.
 *
 * <p>Several voices in a cue. Marks of role and language part a recipe into {@code VoiceParts}, each a recipe of its
 * own; {@code VoiceMixer} brings them to one rate and one level.
 */
package org.logophon.core.voice.render;
