/** What people say of cues and takes: approvals, notes, and the list of what happened. */
package org.logophon.app.services.project.review;
