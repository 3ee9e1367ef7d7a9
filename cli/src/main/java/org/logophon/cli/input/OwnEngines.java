package org.logophon.cli.input;

import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import org.logophon.core.voice.Voice;
import org.logophon.speech.own.OwnEngine;
import org.logophon.speech.own.OwnEnginesFile;

/** The engines of the user's own that the environment names, read once. */
public final class OwnEngines {

    public static final String FILE = "LOGOPHON_ENGINES";

    private final String name;
    private final OwnEnginesFile file;

    private OwnEngines(String name, OwnEnginesFile file) {
        this.name = name;
        this.file = file;
    }

    public static OwnEngines of(Map<String, String> environment) {
        String name = environment.getOrDefault(FILE, "").strip();
        return new OwnEngines(name, name.isEmpty() ? OwnEnginesFile.NONE : OwnEnginesFile.read(Path.of(name)));
    }

    public List<OwnEngine> engines() {
        return file.engines();
    }

    public List<Voice> voices() {
        return file.voices();
    }

    /** What is wrong with the file, a sentence each. */
    public List<String> warnings() {
        return file.wrong().stream().map(sentence -> name + ", " + sentence).toList();
    }
}
