package org.logophon.core.voice.render;

import java.util.Optional;

/** The other speakers inside a cue. */
public interface Speakers {

    /** Nobody else. */
    Speakers NONE = new Speakers() {
        @Override
        public Optional<Speaker> ofRole(String role) {
            return Optional.empty();
        }

        @Override
        public Optional<Speaker> inLanguage(String tag, Speaker instead) {
            return Optional.empty();
        }
    };

    /** The voice that a role is cast with, if it is. */
    Optional<Speaker> ofRole(String role);

    /** A voice of another language that stands in for one that doesn't speak it. @param tag BCP 47 */
    Optional<Speaker> inLanguage(String tag, Speaker instead);
}
