package org.logophon.app.services.project.review;

import com.fasterxml.jackson.annotation.JsonValue;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import org.logophon.core.review.ApprovalState;
import org.logophon.core.review.Aspect;

/**
 * The review of a cue.
 *
 * @param changed   what has changed since it was approved; empty when it wasn't, or nothing has
 * @param by        name of who approved it by a link; empty for who works here, and for nobody
 * @param openNotes that wait to be done
 */
public record CueReview(State state, List<Aspect> changed, String by, int openNotes) {

    /** Nobody has said anything. */
    public static final CueReview NONE = new CueReview(State.UNHEARD, List.of(), "", 0);

    /** Where a cue stands with those who listen. */
    public enum State {
        UNHEARD("not heard"),
        APPROVED("approved"),
        CHANGED("changed since heard");

        private final String label;

        State(String label) {
            this.label = label;
        }

        /** For pages: {@code approved}. */
        @JsonValue
        public String id() {
            return name().toLowerCase(Locale.ROOT);
        }
    }

    /** @param approved the state in which it was approved; null when it wasn't @param by who did */
    public static CueReview of(ApprovalState approved, String by, ApprovalState now, int openNotes) {
        if (approved == null) {
            return openNotes == 0 ? NONE : new CueReview(State.UNHEARD, List.of(), "", openNotes);
        }
        List<Aspect> changed = approved.changed(now);
        return new CueReview(changed.isEmpty() ? State.APPROVED : State.CHANGED, changed, by, openNotes);
    }

    public boolean approved() {
        return state == State.APPROVED;
    }

    /** For people: "approved by Ffion", "changed since heard: words, reading". */
    public String label() {
        return changed.isEmpty()
                ? state.label + (approved() && !by.isEmpty() ? " by " + by : "")
                : state.label + ": " + changed.stream().map(Aspect::label).collect(Collectors.joining(", "));
    }
}
