/** Takes and the speech that they are: what made each, what was measured on it, and what happened to it. */
package org.logophon.app.services.project.take;
