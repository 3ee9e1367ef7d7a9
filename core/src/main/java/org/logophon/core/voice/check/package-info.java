/** What an ear would stumble over in a take, found by measuring it. */
package org.logophon.core.voice.check;
