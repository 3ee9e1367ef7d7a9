package org.logophon.app.web;

/** It is done, and there is nothing to say of it: {@code {}}. */
public record DoneAnswer() {}
