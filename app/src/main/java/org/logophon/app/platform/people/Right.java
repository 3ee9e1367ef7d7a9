package org.logophon.app.platform.people;

/** A right that an address asks for. */
enum Right {
    /** Links, the feed, signing in, styles: they look after themselves. */
    ANYBODY,
    /** Whoever has signed in. */
    PERSON,
    /** To hear, to note and to approve. */
    LISTEN,
    /** To write, cast, direct, place and deliver. */
    EDIT,
    /** People, the feed and the name of a workspace. */
    OWN,
    /** What is everybody's: the machine that it runs on. An owner of the first workspace has it. */
    KEEP
}
