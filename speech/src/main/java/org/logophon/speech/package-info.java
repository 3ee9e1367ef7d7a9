/**
 * Speech engines behind the core's port. Native code runs in worker processes only ({@link
 * org.logophon.speech.worker});
 * this package starts them, gives them deadlines, and replaces them when they die.
 *
 * <p>Workers. Native code runs in processes of its own, pooled, one a core, each with a deadline and a memory limit,
 * replaced when it dies and after 200 requests. A request whose worker died is tried once more; a request that kills
 * two fails with a sentence, but a worker that somebody else killed doesn't count. Processes that open or speak what
 * strangers wrote get an empty environment.
 *
 * <p>Voices worth hearing. How clear an English voice is, is a figure: the share of the words of a passage that an
 * independent recogniser finds, measured by {@code ./logophon measure-voices} and shipped ({@code ClearnessTable}).
 * The list begins with the clearest; {@code CastVoices} are people made of the clear voices by timbre, pitch, range
 * and pace. An engine says how much of a pace is best asked of it ({@code SpeechEngine.paceToAsk}); what blurs when
 * it hurries is made faster in the signal. Festival's voices of other languages ({@code festival.tsv}) are offered
 * where such a language is looked at; the launcher alone fetches them, and the catalogue looks again.
 */
package org.logophon.speech;
