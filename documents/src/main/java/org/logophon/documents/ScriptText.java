package org.logophon.documents;

import org.logophon.core.text.script.Script;

/** The writer of script text: headings, paragraphs, notes. */
public final class ScriptText {

    private final StringBuilder text = new StringBuilder();
    private String role = "";

    public void heading(String title) {
        String line = oneLine(title);
        if (!line.isEmpty()) {
            apart();
            text.append("# ").append(line);
        }
    }

    /** A paragraph as its document has it: names and notes in it mean what they mean in a script. */
    public void paragraph(String words) {
        String kept = words.strip();
        if (!kept.isEmpty()) {
            apart();
            text.append(kept);
        }
    }

    /** One cue, whatever its words look like. @param who empty for the narrator */
    public void cue(String who, String words) {
        String line = oneLine(words);
        if (line.isEmpty()) {
            return;
        }
        String name = who.isBlank() ? role.isEmpty() ? "" : Script.NARRATOR : who;
        boolean named = !name.equals(role);
        apart();
        // a line that would be read as a heading, a note or a name keeps its words behind the name of its role
        boolean mistaken = line.startsWith("#")
                || line.startsWith("//")
                || line.matches("-{3,}")
                || line.matches("\\p{Lu}[^:]{0,60}:.*");
        if (named || mistaken) {
            // in capitals it is a name wherever it stands
            text.append((name.isEmpty() ? Script.NARRATOR : name).toUpperCase(java.util.Locale.ROOT))
                    .append(": ");
        }
        role = name.isEmpty() && !mistaken ? role : name.isEmpty() ? Script.NARRATOR : name;
        text.append(line);
    }

    private void apart() {
        text.append(text.isEmpty() ? "" : "\n\n");
    }

    public static String oneLine(String words) {
        return words.strip().replaceAll("\\s+", " ");
    }

    @Override
    public String toString() {
        return text.isEmpty() ? "" : text.append('\n').toString();
    }
}
