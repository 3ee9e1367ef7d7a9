/**
 * How the application meets the web: errors as sentences, security, and what answers look like.
 *
 * <p>Safety. Loopback only, and only under a loopback host name, unless people are switched on; a strict content
 * security policy, in which only this answer's nonce may stand for a map of modules and the editor's style sheet.
 * Only our own pages may act or read ({@code OwnPagesOnly}, by Fetch Metadata and {@code Origin}), with a token from
 * a cookie that has the port in its name, so that an open page survives a restart. What an address names belongs to
 * its project ({@code ProjectAddresses}). Text that comes in can be stored ({@code ReceivedText}). Logs hold no
 * script text.
 */
package org.logophon.app.platform.web;
