package org.logophon.app.platform.web;

/** An answer that is one sentence for people. */
public record SentenceAnswer(String sentence) {}
