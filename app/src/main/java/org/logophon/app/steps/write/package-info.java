/**
 * The Write step: saving a script, the cues that it falls into, and its versions.
 *
 * <p>Write holds its script in CodeMirror, which draws only what is seen; decorations come from what the server says
 * of the text. Other pages are server-rendered Thymeleaf with htmx, and plain ES modules for what is drawn.
 */
package org.logophon.app.steps.write;
