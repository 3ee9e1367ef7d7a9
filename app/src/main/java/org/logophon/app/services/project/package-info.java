/**
 * The store that all steps share: projects, their roles and cues, and what state each cue is in. Plain JDBC, one
 * repository a table; records are what a row holds, with the core's types inside.
 *
 * <p>Reading costs what is shown. {@code project_changed} (triggers) raises a project's {@code content_version} with
 * all that recipes follow from, its {@code status_version} with takes and renders. Cues are worked out once for a
 * content version ({@code ProjectContents}); a page then reads what became of them by one query. The shelf is one
 * query over summaries, each counted anew when its versions have changed. Whoever changes a project holds its row
 * first ({@code ProjectRepository.hold}).
 */
package org.logophon.app.services.project;
