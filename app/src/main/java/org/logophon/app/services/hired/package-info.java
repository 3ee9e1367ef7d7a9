/**
 * Hired voices: which there are, what they cost, who has agreed to a price, and the ledger. Nothing is paid for without
 * an {@linkplain org.logophon.app.services.hired.Agreements agreement}.
 *
 * <p>Hired voices come over HTTP by the contract of docs/hired-voices.yaml. Nothing is paid for without the id of an
 * agreement, which is handed down to the request: somebody saw the price and agreed to so many characters. The {@code
 * Ledger} writes each request down before it is asked; answers are kept, so another pace or pitch of them costs
 * nothing.
 */
package org.logophon.app.services.hired;
