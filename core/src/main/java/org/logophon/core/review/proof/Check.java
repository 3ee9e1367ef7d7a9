package org.logophon.core.review.proof;

import java.util.List;

/** Looks for one kind of trouble. Safe for use by several threads. */
interface Check {

    void look(CueToProof cue, List<Finding> found);
}
