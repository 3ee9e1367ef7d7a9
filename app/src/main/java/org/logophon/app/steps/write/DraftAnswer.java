package org.logophon.app.steps.write;

import java.util.UUID;

/** @param draft the version in which the text was kept */
record DraftAnswer(UUID draft) {}
