package org.logophon.app.platform.web;

/** An answer without content: {@code {}}. */
public record DoneAnswer() {}
