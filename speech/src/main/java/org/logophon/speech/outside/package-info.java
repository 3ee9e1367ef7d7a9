/** Services of others that charge for what they do, over HTTP. */
package org.logophon.speech.outside;
