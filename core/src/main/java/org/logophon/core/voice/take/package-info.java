/**
 * What made a take, as data that outlives the code that made it.
 *
 * <p>Recipe, speech, take. A recipe is all that determines how speech sounds; its hash is the key under which it is
 * rendered once. A speech is what was measured on a spoken sound: word times, single sounds by shares of their words
 * ({@code Phone}: they go with the word, whatever is done to it), pitch, what was reached. A take is a cue's use of a
 * speech, with a source (rendered; recorded, uploaded, recast) and what made it as data ({@code TakeOrigin}, JSON
 * with a version). A take needs no recipe and no word times. What happens to takes is a list that is only added to
 * ({@code take_event}). Loudness and the pause after a cue are in no recipe: a change of them is heard at once and
 * renders nothing.
 */
package org.logophon.core.voice.take;
