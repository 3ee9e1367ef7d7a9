package org.logophon.app.services.script;

/** The answer to a save that came second: their text and its version, so that a page can show both. */
public record ConflictAnswer(String sentence, String text, int version) {}
