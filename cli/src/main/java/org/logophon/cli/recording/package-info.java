/** What people say themselves, without a server: held against a script, cleaned, said by another voice. */
package org.logophon.cli.recording;
