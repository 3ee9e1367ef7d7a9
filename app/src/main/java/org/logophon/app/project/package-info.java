/**
 * The store that all steps share: projects, their roles and cues, and what state each cue is in. Plain JDBC, one
 * repository a table; records are what a row holds, with the core's types inside.
 */
package org.logophon.app.project;
