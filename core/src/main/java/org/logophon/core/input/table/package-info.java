/** Tables that go to and come from other programs. */
package org.logophon.core.input.table;
