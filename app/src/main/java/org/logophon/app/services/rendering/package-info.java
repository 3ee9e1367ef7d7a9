/**
 * Renders cues: a batch is what somebody asked for at once, and lanes, which are persistent jobs, take its cues one
 * after another on whichever server is free. What is made of a cue (a speech by its recipe, a take) is saved in one
 * transaction with the cue's being done. What a killed server was at is taken over by others, and nothing is made
 * twice.
 *
 * <p>Jobs are rows of db-scheduler, asked for in the transaction that needs them. While the database is away they
 * come again, after growing waits, eight times at most; any other failure ends what the job was for, with a sentence
 * ({@code JobRetry}). A killed server's jobs are taken over after 6 seconds without a heartbeat. Cues aren't jobs: a
 * workspace has lanes ({@code Lane}), jobs that take cue after cue of what waits in it ({@code RenderClaims}: who
 * waits, then projects in turn) for a second and a half, and then let others have theirs. Everybody's first lane
 * comes before anybody's second; two more are for cues that somebody waits for. A claim has a holder: what a server
 * was at that says nothing for six seconds is taken over by the next lane that looks, and if it wasn't dead, it can't
 * end what another has now.
 */
package org.logophon.app.services.rendering;
