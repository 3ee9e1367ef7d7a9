package org.logophon.app.services.notifications;

import java.util.UUID;

/**
 * A person's settings of notifications, beside those in the page.
 *
 * @param person null for who uses the machine while people are switched off
 * @param mail   empty for none
 * @param hook   address that is called; empty for none
 * @param secret that signs what is sent to the hook
 */
public record NotificationSettings(
        UUID id,
        UUID person,
        boolean renders,
        boolean deliveries,
        boolean visitors,
        String mail,
        String hook,
        String secret) {

    /** Of who has said nothing: told in the page, of everything. */
    static NotificationSettings unsaid(UUID person) {
        return new NotificationSettings(UUID.randomUUID(), person, true, true, true, "", "", "");
    }

    boolean of(Notification.Kind kind) {
        return switch (kind) {
            case RENDERS -> renders;
            case DELIVERIES -> deliveries;
            case VISITORS -> visitors;
        };
    }
}
