package org.logophon.app.platform.people;

import java.util.UUID;

/**
 * A request's person and workspace.
 *
 * @param person null while people are switched off
 * @param role   what they are there
 */
public record Visit(Person person, UUID workspace, MemberRole role) {

    /** Whoever uses the machine, while people are switched off. */
    static final Visit HOUSE = new Visit(null, Workspace.FIRST, MemberRole.OWNER);

    public boolean edits() {
        return role.has(Right.EDIT);
    }

    public boolean owns() {
        return role.has(Right.OWN);
    }

    /** True for an owner of the workspace that was there first. */
    public boolean keeps() {
        return owns() && workspace.equals(Workspace.FIRST);
    }
}
