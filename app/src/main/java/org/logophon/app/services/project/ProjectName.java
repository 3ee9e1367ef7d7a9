package org.logophon.app.services.project;

import org.logophon.app.platform.failure.Refused;

/** The name of a project, as it can be. */
public final class ProjectName {

    private ProjectName() {}

    /**
     * Without space around it, and with one space where there were several.
     *
     * @throws Refused with a sentence when it can't be one
     */
    public static String checked(String name) {
        String plain = name.strip().replaceAll("\\p{Cntrl}", " ").replaceAll("\\s+", " ");
        if (plain.isEmpty()) {
            throw new Refused("A project needs a name. Type one.");
        }
        if (plain.length() > Project.LONGEST_NAME) {
            throw new Refused("A project's name has " + Project.LONGEST_NAME + " characters at most, and this one has "
                    + plain.length() + ".");
        }
        return plain;
    }
}
