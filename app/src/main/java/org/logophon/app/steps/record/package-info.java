/** What people say themselves: recorded in the page or brought in as files, held against the script, and taken. */
package org.logophon.app.steps.record;
