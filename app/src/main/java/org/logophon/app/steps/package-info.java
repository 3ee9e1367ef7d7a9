/**
 * The pages, a package each: controllers, what they show, and what only they do.
 *
 * <p>Depends on {@code services} and {@code platform}; no step knows another one, what two of them need is a service.
 * Begin with the step's controller.
 */
package org.logophon.app.steps;
