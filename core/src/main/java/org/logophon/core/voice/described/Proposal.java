package org.logophon.core.voice.described;

import java.util.List;
import org.logophon.core.voice.Tuning;
import org.logophon.core.voice.Voice;

/**
 * A voice that comes close to a description.
 *
 * @param tuning  what brings it closer
 * @param reasons why it was chosen, and what the tuning does
 */
public record Proposal(Voice voice, Tuning tuning, List<String> reasons) {}
