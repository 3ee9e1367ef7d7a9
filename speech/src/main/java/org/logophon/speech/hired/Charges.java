package org.logophon.speech.hired;

import org.logophon.voice.Voice;

/** Hears of what is charged. Implementations are safe for use by several threads. */
public interface Charges {

    /** Before a request that will be charged, unless it was before. @param key of the request: the same request has the same one */
    void asked(String key, Voice voice, int characters);

    /** @param characters that the service has charged for this key, once however often it was asked */
    void charged(String key, Voice voice, int characters);
}
