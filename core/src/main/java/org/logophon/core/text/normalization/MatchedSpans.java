package org.logophon.core.text.normalization;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.Comparator;
import java.util.List;

/** Forms found so far in one text; no two share a character. */
final class MatchedSpans {

    private final BitSet characters = new BitSet();
    private final List<WrittenForm> forms = new ArrayList<>();

    boolean free(int start, int end) {
        int next = characters.nextSetBit(start);
        return next < 0 || next >= end;
    }

    void add(WrittenForm form) {
        characters.set(form.start(), form.end());
        forms.add(form);
    }

    List<WrittenForm> inOrder() {
        forms.sort(Comparator.comparingInt(WrittenForm::start));
        return List.copyOf(forms);
    }
}
