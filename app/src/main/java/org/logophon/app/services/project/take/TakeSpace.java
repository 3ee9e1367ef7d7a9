package org.logophon.app.services.project.take;

/**
 * Room that the takes of a project use, in bytes; a sound that several takes share is counted once.
 *
 * @param all       of takes that are there
 * @param loose     takes that are neither kept nor starred nor labelled, and no note is done in
 * @param deleted   takes that can come back
 */
public record TakeSpace(long takes, long all, long loose, long looseBytes, long deleted, long deletedBytes) {}
