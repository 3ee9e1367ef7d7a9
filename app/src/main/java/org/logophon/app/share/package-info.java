/** Links for others: what they hear, note and approve, and nothing else of a project. */
package org.logophon.app.share;
