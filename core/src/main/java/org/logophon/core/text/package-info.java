/**
 * Words: a script and the cues it falls into, what written forms are said as, readings, the dictionary, and how long a
 * text takes to say.
 *
 * <p>Depends on {@code input}. Begin with {@link org.logophon.core.text.script.ScriptParser}, then
 * {@link org.logophon.core.text.reading.CueReadings}: a reading of a place, of a list, and where there is none the rule
 * ({@link org.logophon.core.text.reading.SaidByRule}).
 */
package org.logophon.core.text;
