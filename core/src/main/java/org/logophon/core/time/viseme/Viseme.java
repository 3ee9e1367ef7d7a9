package org.logophon.core.time.viseme;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/**
 * The fifteen visemes of MPEG-4 Face and Body Animation (ISO/IEC 14496-2, its table of visemes and their phonemes; from
 * memory), and which of them a sound of any language has. Sounds that the table doesn't name are ours: the shape of the
 * nearest one.
 */
public final class Viseme {

    /** Nothing is said. */
    public static final int NONE = 0;

    /** Lips closed. */
    public static final int CLOSED = 1;

    private static final int NOT_SHOWN = -1;

    private static final List<String> SHAPES = List.of(
            "",
            "pbmɸβʙɓ",
            "fvʋɱ",
            "θð",
            "tdʈɖɗ",
            "kɡgxɣqɢχŋɴcɟʔhɦħʕç",
            "ʃʒɕʑʂʐ",
            "sz",
            "nlɲʎɬɮɫɭɳʟ",
            "rɹɻʀʁɾɽ",
            "aɑæʌɐäɶ",
            "eɛøœəɘɜɝɚɞɵ",
            "iɪyʏɨᵻj",
            "oɔɒɤ",
            "uʊwʉɯʍɥ");

    /** Two letters that are one movement. */
    private static final Map<String, Integer> TOGETHER =
            Map.of("tʃ", 6, "dʒ", 6, "tɕ", 6, "dʑ", 6, "tʂ", 6, "dʐ", 6, "ts", 7, "dz", 7, "pf", 2);

    private Viseme() {}

    /**
     * The shapes that a sound goes through, one or two: a diphthong moves, an affricate doesn't. {@link #NONE} for none
     * known.
     */
    public static List<Integer> of(String ipa) {
        List<Integer> shapes = new ArrayList<>();
        for (int i = 0; i < ipa.length(); i++) {
            Integer both = i + 1 < ipa.length() ? TOGETHER.get(ipa.substring(i, i + 2)) : null;
            int shape = both == null ? shape(ipa.charAt(i)) : both;
            i += both == null ? 0 : 1;
            if (shape != NOT_SHOWN && (shapes.isEmpty() || shapes.get(shapes.size() - 1) != shape)) {
                shapes.add(shape);
            }
        }
        return shapes.isEmpty() ? List.of(NONE) : shapes;
    }

    private static int shape(char letter) {
        for (int i = 1; i < SHAPES.size(); i++) {
            if (SHAPES.get(i).indexOf(letter) >= 0) {
                return i;
            }
        }
        return NOT_SHOWN;
    }
}
