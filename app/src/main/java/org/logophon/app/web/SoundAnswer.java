package org.logophon.app.web;

/** @param sound where it can be heard */
public record SoundAnswer(String sound) {}
