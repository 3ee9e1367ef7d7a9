/**
 * Open pages hear of changes: the database tells every node in the transaction that changed something, and each node tells
 * its pages, over one stream of server-sent events a page.
 */
package org.logophon.app.live;
