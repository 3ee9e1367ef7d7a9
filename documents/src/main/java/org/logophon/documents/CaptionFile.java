package org.logophon.documents;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.logophon.core.text.script.Slot;

/** SubRip captions and WebVTT (W3C Candidate Recommendation): each caption becomes a cue, its times a slot. */
final class CaptionFile {

    private static final String TIME = "(?:(\\d{1,3}):)?(\\d{1,2}):(\\d{2})[,.](\\d{1,3})";
    private static final Pattern TIMES = Pattern.compile("^\\s*" + TIME + "\\s*-->\\s*" + TIME + ".*$");
    private static final Pattern VOICE = Pattern.compile("<v(?:\\.[^ >]*)?\\s+([^>]{1,60})>");

    private CaptionFile() {}

    static boolean looksLikeCaptions(String head) {
        String[] lines = head.split("\\R", 4);
        return lines.length > 1
                && (TIMES.matcher(lines[0]).matches()
                        || lines[0].strip().matches("\\d{1,6}")
                                && TIMES.matcher(lines[1]).matches());
    }

    static OpenedDocument read(String name, String text, List<String> remarks) {
        boolean web = text.stripLeading().startsWith("WEBVTT");
        ScriptText script = new ScriptText();
        List<Slot> slots = new ArrayList<>();
        int styled = 0;
        int empty = 0;
        for (String block : text.replace("\r\n", "\n").replace('\r', '\n').split("\n[ \\t]*\n+")) {
            String[] lines = block.strip().split("\n");
            int at = 0;
            while (at < lines.length && !TIMES.matcher(lines[at]).matches()) {
                at++;
            }
            if (at == lines.length) {
                styled += web && block.strip().matches("(?s)(NOTE|STYLE|REGION)\\b.*") ? 1 : 0;
                continue;
            }
            String spoken = String.join(" ", List.of(lines).subList(at + 1, lines.length));
            Matcher voice = VOICE.matcher(spoken);
            String role = voice.find() ? RoleNames.fit(voice.group(1)) : "";
            String words = spoken.replaceAll("<[^>]{0,80}>|\\{\\\\[^}]{0,40}\\}", "")
                    .replaceFirst("^[-–] ", "")
                    .replace("&amp;", "&")
                    .replace("&lt;", "<")
                    .replace("&gt;", ">")
                    .replace("&nbsp;", " ")
                    .strip();
            Slot slot = slot(lines[at]);
            if (words.isEmpty() || slot == null) {
                empty++;
                continue;
            }
            script.cue(role, words);
            slots.add(slot);
        }
        ScriptHandler.say(remarks, styled, "note or style block was", "notes or style blocks were", " left out.");
        ScriptHandler.say(
                remarks,
                empty,
                "caption without words or with times that run backwards was",
                "captions without words or with times that run backwards were",
                " left out.");
        return new OpenedDocument(
                name,
                web ? "WebVTT captions" : "SubRip captions",
                script.toString(),
                slots,
                List.of(),
                List.copyOf(remarks),
                List.of());
    }

    private static Slot slot(String line) {
        Matcher times = TIMES.matcher(line);
        if (!times.matches()) {
            return null;
        }
        long in = millis(times, 1);
        long out = millis(times, 5);
        return out > in && out < Integer.MAX_VALUE ? new Slot((int) in, (int) out) : null;
    }

    private static long millis(Matcher times, int group) {
        long hours = times.group(group) == null ? 0 : Long.parseLong(times.group(group));
        String fraction = (times.group(group + 3) + "00").substring(0, 3);
        return ((hours * 60 + Long.parseLong(times.group(group + 1))) * 60 + Long.parseLong(times.group(group + 2)))
                        * 1000
                + Long.parseLong(fraction);
    }
}
