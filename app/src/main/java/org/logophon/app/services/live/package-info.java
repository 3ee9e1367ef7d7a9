/**
 * Open pages hear of changes: the database tells every node in the transaction that changed something, and each node
 * tells its pages, over one stream of server-sent events a page.
 *
 * <p>Pages live by events. The same triggers {@code NOTIFY} in the transaction that changes something. Each node
 * listens ({@code live}), gathers what a project's pages haven't been told, works out once which cues of the
 * programme differ, and sends that over a stream of server-sent events; a stream begins with the state that it knows,
 * so a page that was away looks again. A hidden page holds no stream. A window that is seen says where it is ({@code
 * Here}), and the others show it; one that says nothing for fifty seconds has left.
 */
package org.logophon.app.services.live;
