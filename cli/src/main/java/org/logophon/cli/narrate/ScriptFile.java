package org.logophon.cli.narrate;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import org.logophon.cli.InputUnusable;
import org.logophon.script.Script;

/**
 * A script read from a file.
 *
 * @param name file name without its ending
 */
record ScriptFile(String name, Script script) {

    private static final long MOST_BYTES = 20L << 20;

    /** @throws InputUnusable with a sentence when the file is missing, no text, or holds no cue */
    static ScriptFile read(Path path) throws IOException {
        if (!Files.isRegularFile(path)) {
            throw new InputUnusable(path + " is no file. Give the path of a script.");
        }
        if (Files.size(path) > MOST_BYTES) {
            throw new InputUnusable(path + " is over 20 MB, which no script is. Give a text file.");
        }
        String source = decoded(path);
        Script script = Script.parse(source);
        if (script.cues().isEmpty()) {
            throw new InputUnusable(path + " has nothing to speak. Write at least one line that is no heading and no note.");
        }
        String name = path.getFileName().toString();
        int dot = name.lastIndexOf('.');
        return new ScriptFile(dot > 0 ? name.substring(0, dot) : name, script);
    }

    private static String decoded(Path path) throws IOException {
        byte[] bytes = Files.readAllBytes(path);
        try {
            String text = StandardCharsets.UTF_8.newDecoder().decode(ByteBuffer.wrap(bytes)).toString();
            if (text.indexOf('\0') >= 0) {
                throw new InputUnusable(path + " is no text: it has null characters. Save it as plain text in UTF-8.");
            }
            return text.startsWith("\uFEFF") ? text.substring(1) : text;
        } catch (CharacterCodingException e) {
            throw new InputUnusable(path + " is not in UTF-8. Save it as plain text in UTF-8.");
        }
    }
}
