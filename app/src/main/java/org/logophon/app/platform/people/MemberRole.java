package org.logophon.app.platform.people;

import java.util.Arrays;
import java.util.Locale;
import org.logophon.app.platform.failure.Refused;

/** A person's role in a workspace. */
public enum MemberRole {
    LISTENER("hears, notes and approves"),
    EDITOR("writes, casts, directs and delivers"),
    OWNER("also invites people and opens the feed");

    private final String does;

    MemberRole(String does) {
        this.does = does;
    }

    public String id() {
        return name().toLowerCase(Locale.ROOT);
    }

    public String does() {
        return does;
    }

    /** With its article. */
    public String one() {
        return (this == LISTENER ? "a " : "an ") + id();
    }

    boolean has(Right right) {
        return switch (right) {
            case ANYBODY, PERSON, LISTEN -> true;
            case EDIT -> compareTo(EDITOR) >= 0;
            case OWN -> this == OWNER;
            // that is no matter of a role alone
            case KEEP -> false;
        };
    }

    static MemberRole named(String id) {
        return Arrays.stream(values())
                .filter(role -> role.id().equals(id))
                .findFirst()
                .orElseThrow(() -> new Refused("Somebody is an owner, an editor or a listener."));
    }
}
