package org.logophon.core.time.picture;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.logophon.core.time.picture.PictureTimes.PictureSlot;

/** The matching of slots to cues: by number, else by name, else by order. */
public final class SlotMatch {

    private static final int BEGINNING = 24;

    private SlotMatch() {}

    /** A cue as it is matched. */
    public record Cue(String number, String text) {}

    /** @param cue index of it; −1 for none. @param by how it was found, for people; empty for none */
    public record Match(PictureSlot slot, int cue, String by) {}

    /** @return for each slot, in their order */
    public static List<Match> of(List<PictureSlot> slots, List<Cue> cues) {
        int[] found = new int[slots.size()];
        String[] by = new String[slots.size()];
        boolean[] taken = new boolean[cues.size()];
        for (int i = 0; i < found.length; i++) {
            found[i] = -1;
            by[i] = "";
        }
        boolean numbered =
                slots.stream().anyMatch(slot -> !slot.number().isEmpty() && number(slot.number(), cues) >= 0);
        if (numbered) {
            for (int i = 0; i < found.length; i++) {
                take(i, number(slots.get(i).number(), cues), "number", found, by, taken);
            }
        }
        for (int i = 0; i < found.length; i++) {
            if (found[i] < 0) {
                take(i, name(slots.get(i).name(), cues), "name", found, by, taken);
            }
        }
        boolean none = true;
        for (int place : found) {
            none &= place < 0;
        }
        for (int i = 0; none && i < Math.min(found.length, cues.size()); i++) {
            take(i, i, "order", found, by, taken);
        }
        List<Match> matches = new ArrayList<>();
        for (int i = 0; i < found.length; i++) {
            matches.add(new Match(slots.get(i), found[i], by[i]));
        }
        return matches;
    }

    private static void take(int slot, int cue, String how, int[] found, String[] by, boolean[] taken) {
        if (cue >= 0 && !taken[cue]) {
            found[slot] = cue;
            by[slot] = how;
            taken[cue] = true;
        }
    }

    private static int number(String number, List<Cue> cues) {
        String plain = number.replaceFirst("^0+(?=.)", "");
        for (int i = 0; i < cues.size(); i++) {
            if (!number.isEmpty()
                    && cues.get(i).number().replaceFirst("^0+(?=.)", "").equalsIgnoreCase(plain)) {
                return i;
            }
        }
        return -1;
    }

    private static int name(String name, List<Cue> cues) {
        String wanted = plain(name);
        for (int i = 0; wanted.length() >= 4 && i < cues.size(); i++) {
            String text = plain(cues.get(i).text());
            String number = plain(cues.get(i).number());
            boolean begins = text.startsWith(wanted) || wanted.startsWith(text) && !text.isEmpty();
            boolean alike = text.length() > BEGINNING && wanted.startsWith(text.substring(0, BEGINNING));
            boolean clip = !number.isEmpty() && wanted.startsWith(number) && wanted.length() > number.length();
            if (begins || alike || clip) {
                return i;
            }
        }
        return -1;
    }

    private static String plain(String text) {
        return text.toLowerCase(Locale.ROOT).replaceAll("[^\\p{L}\\p{N}]", "");
    }
}
