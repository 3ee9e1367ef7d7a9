/**
 * Opening scripts: files of any of the formats that scripts come in become script text, with what could not be taken
 * over
 * listed. {@link org.logophon.documents.Documents} tells the format by the content, and hands over to one reader a
 * format.
 */
package org.logophon.documents;
