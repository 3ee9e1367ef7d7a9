package org.logophon.app.services.project;

import java.util.UUID;
import org.logophon.app.platform.audio.StoredSound;
import org.logophon.app.services.project.take.TakeSource;
import org.logophon.core.review.ApprovalState;

/**
 * The status of a cue: which take is kept, and what the latest render does or did to it.
 *
 * @param keptTake   the take that is delivered; null when there is none
 * @param keptRecipe the cue's recipe when that take was kept: while it is the cue's recipe, nothing has changed
 * @param source     of the kept take
 * @param takeRecipe what made the kept take: another one when an older take was kept on purpose; null for a recording
 * @param spokenText the words of a kept take that no recipe made
 * @param sound      of the kept take
 * @param takes      how many it has, deleted ones left out
 * @param waiting    true while a render is under way
 * @param approved   the state in which it was approved; null when it wasn't
 * @param approver   name of who approved it by a link; empty for who works here
 * @param openNotes that wait to be done
 * @param failure    why the latest render failed, as a sentence; null when it didn't
 */
public record CueStatus(
        UUID keptTake,
        String keptRecipe,
        TakeSource source,
        String takeRecipe,
        String spokenText,
        StoredSound sound,
        int takes,
        boolean waiting,
        String failure,
        ApprovalState approved,
        String approver,
        int openNotes) {

    /** Nothing has been made of the cue yet. */
    public static final CueStatus NONE = new CueStatus(null, null, null, null, null, null, 0, false, null, null, "", 0);

    /** True while the kept take is what the cue asks for. @param recipe of the cue now; null when it has none */
    boolean upToDate(String text, String recipe) {
        if (keptTake == null) {
            return false;
        }
        return takeRecipe != null
                ? recipe != null && recipe.equals(keptRecipe)
                : text.equals(spokenText) && (recipe == null || keptRecipe == null || recipe.equals(keptRecipe));
    }
}
