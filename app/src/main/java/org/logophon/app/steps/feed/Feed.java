package org.logophon.app.steps.feed;

import java.util.UUID;

/** A feed that is open. @param workspace whose programmes are in it */
record Feed(UUID workspace, String title, String description) {}
