/**
 * What runs inside a worker process: the native libraries and the loop that serves frames over standard input and
 * output. A worker knows nothing of projects or files; it is given text or samples and gives samples back.
 */
package org.logophon.speech.worker;
