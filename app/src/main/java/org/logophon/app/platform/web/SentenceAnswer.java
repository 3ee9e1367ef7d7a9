package org.logophon.app.platform.web;

/** What was done, or why it wasn't, for people to read. */
public record SentenceAnswer(String sentence) {}
