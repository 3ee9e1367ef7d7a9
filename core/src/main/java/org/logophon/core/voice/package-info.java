/**
 * Voices and what they say: what a voice is and can do, rendering a recipe until pace and pitch are as asked, takes and
 * where they come from, recordings held against the script, and checks of a take.
 *
 * <p>Depends on {@code direction}, {@code text} and {@code signal}. Begin with {@link
 * org.logophon.core.voice.render.Recipe} and {@link org.logophon.core.voice.render.Narrator}: a recipe is all that
 * determines how speech sounds, its hash the key under which it is rendered once.
 */
package org.logophon.core.voice;
