/**
 * Hired voices: which there are, what they cost, who has agreed to a price, and the ledger. Nothing is paid for without an
 * {@linkplain org.logophon.app.hired.Agreements agreement}.
 */
package org.logophon.app.hired;
