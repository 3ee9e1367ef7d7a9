/**
 * Speech engines behind the core's port. Native code runs in worker processes only ({@link
 * org.logophon.speech.worker});
 * this package starts them, gives them deadlines, and replaces them when they die.
 */
package org.logophon.speech;
