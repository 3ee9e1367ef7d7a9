package org.logophon.app.platform.people;

/** A workspace of somebody's, and what they are in it. */
public record Membership(Workspace workspace, MemberRole role) {}
