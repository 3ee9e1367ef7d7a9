/**
 * Opening scripts: files of any of the formats that scripts come in become script text, with what could not be taken
 * over
 * listed. {@link org.logophon.documents.Documents} tells the format by the content, and hands over to one reader a
 * format.
 *
 * <p>Documents are read by Apache Tika, commonmark-java, jsoup and Commons CSV, format by content, without external
 * entities. Everything but plain text is opened by a process of its own ({@code DocumentOpener}), with a limit on its
 * heap, time and answer, on the server and the command line alike. A script has at most 2,000,000 characters and
 * 20,000 cues.
 */
package org.logophon.documents;
