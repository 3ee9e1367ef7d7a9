/**
 * Word when long work is done, and when somebody with a link says something: in the page, by mail, by a webhook.
 *
 * <p>Notifications of it: who ends a batch or a delivery, or lets a visitor speak, publishes an event in its
 * transaction; {@code Notifications} writes down what there is to tell and asks for the jobs that mail it or call an
 * address ({@code Sending}), which come again when they fail. Pages hear of it by their streams; a hidden one asks
 * now and then, where its browser shall tell.
 */
package org.logophon.app.services.notifications;
