package org.logophon.app.platform.web;

/** It is done, and there is nothing to say of it: {@code {}}. */
public record DoneAnswer() {}
