/** What an independent recogniser hears, where Debian's is installed. */
package org.logophon.speech.heard;
