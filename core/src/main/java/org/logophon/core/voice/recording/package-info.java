/**
 * What people say themselves: their speech held against the script, measured, and used as a voice that can say its own
 * words only, or as the way in which another voice says them.
 *
 * <p>Recordings are voices that can say their own words only ({@code RecordedVoice}, its id says which recording, and
 * who says it in its way): so recipes, marks, takes, deliveries and everything that follows from them work as with any
 * voice. A cue whose recording is kept follows it instead of its role ({@code TakenDirection}), but for loudness and
 * rests. What is said is held against the script by what several voices have in common where they say it ({@code
 * PooledVoice}, each given the speaker's throat): {@code WordMatch} finds the words, {@code InsertionsAndDeletions}
 * what is more or less than the script, by what it would save to go past it. {@code LongCut} finds the cues of hours in
 * one pass (Viterbi, with a beam). {@code Recast} lays a word's length, each pause and the melody on another voice in
 * one pass of overlap-add. FFmpeg reads, by a list of formats, and cleans, in processes with a limit. The page keeps
 * what it records in the browser until the server has it.
 */
package org.logophon.core.voice.recording;
