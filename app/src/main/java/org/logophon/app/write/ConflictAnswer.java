package org.logophon.app.write;

/** Somebody else saved first: their text and its version, so that a page can show both. */
record ConflictAnswer(String sentence, String text, int version) {}
