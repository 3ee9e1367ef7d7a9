/** How text is spoken, said at three levels that nest: project, role, cue. */
package org.logophon.core.direction;
