package org.logophon.app.platform.people;

import com.ibm.icu.lang.UCharacter;
import com.ibm.icu.lang.UCharacterCategory;
import com.ibm.icu.text.Normalizer2;
import com.ibm.icu.text.SpoofChecker;
import org.logophon.app.platform.failure.Refused;
import org.logophon.app.platform.web.StorableText;

/**
 * A name that a person, or a workspace, is told from others by. What looks the same is the same name: full width is
 * folded (Unicode NFKC), and two names with one skeleton can't be told apart (Unicode Technical Standard 39, section
 * 4).
 */
public final class PersonName {

    public static final int LONGEST = 60;

    private static final SpoofChecker SPOOFS = new SpoofChecker.Builder().build();

    private PersonName() {}

    /**
     * As it is shown: with one space where there were several.
     *
     * @param whose "A name", for the sentence
     * @throws Refused with a sentence when it can't be one
     */
    static String checked(String whose, String typed) {
        String name = Normalizer2.getNFKCInstance()
                .normalize(StorableText.of(typed))
                .strip()
                .replaceAll("\\s+", " ");
        if (name.isEmpty() || name.length() > LONGEST) {
            throw new Refused("%s has 1 to %d characters.".formatted(whose, LONGEST));
        }
        if (name.codePoints().anyMatch(PersonName::unseen)) {
            throw new Refused(whose + " has characters that nobody sees. Type it anew.");
        }
        return name;
    }

    /** What nobody sees, or what changes the order of what they see: controls, formats, and what isn't assigned. */
    private static boolean unseen(int character) {
        int kind = UCharacter.getType(character);
        return kind == UCharacterCategory.CONTROL
                || kind == UCharacterCategory.FORMAT
                || kind == UCharacterCategory.PRIVATE_USE
                || kind == UCharacterCategory.SURROGATE
                || kind == UCharacterCategory.UNASSIGNED
                || UCharacter.hasBinaryProperty(character, com.ibm.icu.lang.UProperty.DEFAULT_IGNORABLE_CODE_POINT);
    }

    /** The same for names that can't be told apart, whatever their case. */
    static String key(String name) {
        String folded =
                Normalizer2.getNFKCCasefoldInstance().normalize(name.strip().replaceAll("\\s+", " "));
        // once more: what looks like a capital may be folded to what looks like another letter
        return UCharacter.foldCase(SPOOFS.getSkeleton(folded), true);
    }
}
