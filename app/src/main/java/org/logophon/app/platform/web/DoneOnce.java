package org.logophon.app.platform.web;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/**
 * A request that makes something new, and that a key tells from another of the same words: a double press has one key,
 * and makes one thing. The key is a header or a field, see {@code people.RepeatedRequests}.
 */
@Target(ElementType.METHOD)
@Retention(RetentionPolicy.RUNTIME)
public @interface DoneOnce {}
