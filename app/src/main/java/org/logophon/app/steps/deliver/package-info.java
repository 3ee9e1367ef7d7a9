/** The Deliver step: numbered clips, cue sheet and captions in one ZIP, built as a job and kept. */
package org.logophon.app.steps.deliver;
