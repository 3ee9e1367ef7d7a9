/**
 * Voices of an outside service, behind the contract of {@code docs/hired-voices.yaml}. The service's key is never shown
 * or logged.
 */
package org.logophon.speech.hired;
