package org.logophon.core.text.reading;

/**
 * A place of a text that is said otherwise than it is written.
 *
 * @param start UTF-16 index in the text
 * @param words what to say instead: words, or IPA
 */
public record Pronunciation(int start, int end, String words, boolean ipa) {}
