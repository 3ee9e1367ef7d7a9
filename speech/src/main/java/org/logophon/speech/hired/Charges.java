package org.logophon.speech.hired;

import java.util.Optional;
import org.logophon.core.voice.Voice;
import org.logophon.core.voice.render.Utterance;

/**
 * A listener for what is charged, which may keep what was paid for. Implementations are safe for use by several
 * threads. A key stands for a request: the same words of the same voice have the same one.
 */
public interface Charges {

    /**
     * Before a request that will be charged, unless it was before.
     *
     * @param agreement id under which somebody has agreed to pay; null when nobody has
     * @throws org.logophon.core.voice.render.SpeechFailed with a sentence when it may not be paid
     */
    void asked(String key, Voice voice, int characters, String agreement);

    /** @param characters that the service has charged for this key, once however often it was asked */
    void charged(String key, Voice voice, int characters);

    /** The service has refused it: nothing is charged. */
    default void refused(String key) {}

    /** What was paid for before, where it is kept. */
    default Optional<Utterance> paid(String key) {
        return Optional.empty();
    }

    /** Keeps what was paid for, so that another pace or pitch of it is known to cost nothing. */
    default void keep(String key, Voice voice, Utterance answer) {}
}
