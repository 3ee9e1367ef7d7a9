/** What people say of a programme: approvals and notes, theirs and those of visitors. */
package org.logophon.app.services.reviewing;
