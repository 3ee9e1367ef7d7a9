/**
 * What comes from outside and can't be trusted: {@link org.logophon.core.input.InvalidInput} with its sentence for
 * people, XML without external entities, typed numbers, tables and digests.
 *
 * <p>Depends on nothing. Begin with {@code InvalidInput}: every refusal of the core is one.
 */
package org.logophon.core.input;
