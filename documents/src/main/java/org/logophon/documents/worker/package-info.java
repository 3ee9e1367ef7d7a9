/** The process that opens documents, outside the one that serves people. */
package org.logophon.documents.worker;
