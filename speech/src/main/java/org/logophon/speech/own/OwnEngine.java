package org.logophon.speech.own;

import java.util.List;
import java.util.Map;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.render.SpeechEngine;

/**
 * A program that speaks.
 *
 * @param id          of the file: part of the recipes of its voices
 * @param command     program and arguments; placeholders in braces stand for what changes
 * @param textInFile  true when the text is given as a file, named by {@code {text}}; else it is standard input
 * @param soundInFile true when the sound comes in a file, named by {@code {sound}}; else it is standard output
 * @param version     command whose first line says what version it is; empty for none
 * @param environment all that the program sees of one
 * @param pace        null when it has one pace only
 * @param pitch       null when it has one pitch only
 */
public record OwnEngine(
        String id,
        String name,
        List<String> command,
        boolean textInFile,
        boolean soundInFile,
        List<String> version,
        Map<String, String> environment,
        OwnDial pace,
        OwnDial pitch,
        OwnLimits limits,
        List<Voice> voices) {

    public OwnEngine {
        command = List.copyOf(command);
        version = List.copyOf(version);
        environment = Map.copyOf(environment);
        voices = List.copyOf(voices);
    }

    /** What its voices say of their engine. */
    public String family() {
        return family(id);
    }

    static String family(String id) {
        return "own " + id;
    }

    /** Runs it. */
    public SpeechEngine speaker() {
        return new OwnSpeech(this);
    }
}
