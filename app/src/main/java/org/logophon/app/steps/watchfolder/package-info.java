/**
 * Folders that are watched: a script that is put there becomes clips beside it, like a project that somebody chose.
 *
 * <p>Watched folders ({@code dropped}): a recurring job, on one server at a time, looks into them and brings each
 * script one step on ({@code WatchedScriptWork}): a copy of the chosen project with the script in it, rendered,
 * delivered, written beside it. How far it is, is a row. The command line's {@code watch} knows a script in a folder by
 * the same piece ({@code WatchedScript}), and keeps what was spoken by its recipe.
 */
package org.logophon.app.steps.watchfolder;
