package org.logophon.core.text.script;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;

/** The parser of a script, line by line; a paragraph ends at a blank line, a heading or a divider. */
final class ScriptParser {

    /** A Markdown ATX heading (CommonMark 0.31, section 4.2), with an optional closing run of hashes. */
    private static final Pattern HEADING = Pattern.compile("^ {0,3}#{1,6}[ \\t]");

    /** A longer one is shown by its beginning: it is no title but a paragraph. Ours. */
    private static final int LONGEST_TITLE = 500;

    /** With its colon and what makes it one. */
    private static final int LONGEST_NAME = 60;

    private static final Pattern DIVIDER = Pattern.compile("^ {0,3}-{3,}[ \\t]*$");

    private final String source;
    private final boolean mixedCaseNames;
    private final ScreenplayLayout screenplay;
    private final List<Paragraph> paragraphs = new ArrayList<>();
    private final List<Script.Scene> scenes = new ArrayList<>();
    private final List<Script.Note> notes = new ArrayList<>();
    private final List<MappedText> lines = new ArrayList<>();
    private int paragraphStart = -1;
    private int paragraphEnd;
    private int blanks = Paragraph.APART;
    private boolean afterDivider;
    private String scene = "";
    private String role = Script.NARRATOR;
    private final Set<String> names = new HashSet<>();
    private boolean named;
    private boolean underName;

    ScriptParser(String source) {
        this.source = source;
        this.mixedCaseNames = usesNames(source);
        this.screenplay = ScreenplayLayout.of(source);
    }

    void read() {
        forEachLine(source, this::line);
        closeParagraph();
    }

    List<Paragraph> paragraphs() {
        return paragraphs;
    }

    List<Script.Scene> scenes() {
        return scenes;
    }

    List<Script.Note> notes() {
        return notes;
    }

    private void line(int start, int end) {
        String line = source.substring(start, end);
        if (line.isBlank()) {
            closeParagraph();
            blanks++;
        } else if (isDivider(line)) {
            closeParagraph();
            blanks = Paragraph.APART;
            afterDivider = true;
        } else if (isHeading(line)) {
            closeParagraph();
            blanks = Paragraph.APART;
            scene = title(line);
            scenes.add(new Script.Scene(start, end, scene));
        } else if (screenplay.isScene(line)) {
            closeParagraph();
            blanks = Paragraph.APART;
            scene = line.strip();
            scenes.add(new Script.Scene(start, end, scene));
        } else if (isNote(line)) {
            notes.add(new Script.Note(start, end, line.strip().substring(2).strip()));
        } else {
            Optional<String> speaker =
                    lines.isEmpty() ? screenplay.speaker(line, after(end, LONGEST_TITLE)) : Optional.empty();
            if (speaker.isPresent()) {
                speaks(speaker.get(), start, end);
            } else {
                spoken(start, end, line);
            }
        }
    }

    /** What the name says stands under it; after that the narrator goes on. */
    private void speaks(String name, int start, int end) {
        role = name;
        named = true;
        names.add(name);
        underName = true;
        paragraphStart = start;
        paragraphEnd = end;
    }

    /** The line after the one that ends there, so much of it at the most. */
    private String after(int end, int most) {
        int next = end + 1;
        if (next < source.length() && source.charAt(end) == '\r' && source.charAt(next) == '\n') {
            next++;
        }
        int to = next;
        while (to < source.length() && to - next < most && !endsLine(source.charAt(to))) {
            to++;
        }
        return next < to ? source.substring(next, to) : "";
    }

    /**
     * A heading's words without its hashes. By hand: a pattern for both ends takes time by the square of a long line.
     */
    private static String title(String line) {
        String words = line.strip();
        int from = 0;
        while (from < words.length() && words.charAt(from) == '#') {
            from++;
        }
        int to = words.length();
        while (to > from && words.charAt(to - 1) == '#') {
            to--;
        }
        // a closing run counts only after a space: "C#" keeps its hash
        boolean closing = to == from || Character.isWhitespace(words.charAt(to - 1));
        String title = words.substring(from, closing ? to : words.length()).strip();
        return title.length() <= LONGEST_TITLE
                ? title
                : title.substring(0, title.offsetByCodePoints(0, LONGEST_TITLE / 2)) + "…";
    }

    private void spoken(int start, int end, String line) {
        int from = 0;
        var name = RoleName.at(line).filter(n -> speaks(n, end));
        if (name.isPresent()) {
            if (!lines.isEmpty()) {
                closeParagraph();
            }
            role = name.get().name();
            from = name.get().length();
            named = true;
            names.add(role);
        }
        if (paragraphStart < 0) {
            paragraphStart = start;
        }
        // a single line break is a space: text out of mail or PDF is hard-wrapped
        MappedText words = MappedText.of(source, start + from, end);
        if (!words.isEmpty()) {
            lines.add(words);
        }
        paragraphEnd = end;
    }

    /**
     * A name starts a paragraph; inside one it speaks where the lines are a dialogue: after another name, or with one
     * on the next line. In mixed case it must be known there, else "Remember: never look down." would be a role.
     */
    private boolean speaks(RoleName name, int end) {
        if (lines.isEmpty()) {
            return name.capital() || mixedCaseNames;
        }
        return name.capital() ? named || capitalNameAfter(end) : named && names.contains(name.name());
    }

    private boolean capitalNameAfter(int end) {
        return RoleName.at(after(end, LONGEST_NAME)).filter(RoleName::capital).isPresent();
    }

    private void closeParagraph() {
        if (!lines.isEmpty()) {
            paragraphs.add(
                    new Paragraph(paragraphStart, paragraphEnd, scene, role, List.copyOf(lines), blanks, afterDivider));
            blanks = 0;
            afterDivider = false;
        }
        lines.clear();
        paragraphStart = -1;
        named = false;
        if (underName) {
            role = Script.NARRATOR;
            underName = false;
        }
    }

    /**
     * Names in mixed case ("Keeper:") count only in a script that shows it uses names: its first spoken paragraph has
     * one, or some paragraph has one in capitals. Else "Remember: never look down." would be a role.
     */
    private static boolean usesNames(String source) {
        boolean[] seen = {false, false, true};
        forEachLine(source, (start, end) -> {
            String line = source.substring(start, end);
            boolean spoken = !line.isBlank() && !isHeading(line) && !isNote(line) && !isDivider(line);
            if (spoken && seen[2]) {
                var name = RoleName.at(line);
                seen[1] |= name.isPresent() && (!seen[0] || name.get().capital());
                seen[0] = true;
            }
            seen[2] = !spoken && !isNote(line);
        });
        return seen[1];
    }

    // a look at the first letter spares most lines the patterns
    private static boolean isHeading(String line) {
        return "# ".indexOf(line.charAt(0)) >= 0 && HEADING.matcher(line).find();
    }

    private static boolean isDivider(String line) {
        return "- ".indexOf(line.charAt(0)) >= 0 && DIVIDER.matcher(line).matches();
    }

    private static boolean isNote(String line) {
        return line.stripLeading().startsWith("//");
    }

    interface LineReader {
        void read(int start, int end);
    }

    static void forEachLine(String source, LineReader reader) {
        int start = 0;
        while (start < source.length()) {
            int end = start;
            while (end < source.length() && !endsLine(source.charAt(end))) {
                end++;
            }
            reader.read(start, end);
            boolean pair = end + 1 < source.length() && source.charAt(end) == '\r' && source.charAt(end + 1) == '\n';
            start = end + (pair ? 2 : 1);
        }
    }

    /** Line ends of Unicode UAX #14, and NEL; nearly every character is told by the first comparison. */
    private static boolean endsLine(char c) {
        return c <= '\r' ? c == '\n' || c == '\r' : c >= 0x85 && (c == 0x85 || c == 0x2028 || c == 0x2029);
    }
}
