/** The Place step: clips on the timeline of the picture, what runs over, and what makes it fit. */
package org.logophon.app.steps.place;
