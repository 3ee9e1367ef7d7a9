package org.logophon.speech;

/**
 * Voices of a language that can be had from Debian, and aren't here.
 *
 * @param language     BCP 47
 * @param languageName in English
 * @param megabytes    to fetch
 */
public record VoiceOffer(String language, String languageName, int voices, int megabytes) {}
