/**
 * Hired voices: which there are, what they cost, who has agreed to a price, and the ledger. Nothing is paid for on a
 * thread
 * that isn't {@linkplain org.logophon.app.hired.Paying under an agreement}, whatever it does.
 */
package org.logophon.app.hired;
