/** Programmes as timeline files of open formats: edit decision lists and OpenTimelineIO. */
package org.logophon.core.time.timeline;
