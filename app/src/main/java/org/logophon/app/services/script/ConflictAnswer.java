package org.logophon.app.services.script;

/** Somebody else saved first: their text and its version, so that a page can show both. */
public record ConflictAnswer(String sentence, String text, int version) {}
