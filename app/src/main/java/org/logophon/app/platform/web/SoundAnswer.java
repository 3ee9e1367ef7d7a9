package org.logophon.app.platform.web;

/** @param sound where it can be heard */
public record SoundAnswer(String sound) {}
