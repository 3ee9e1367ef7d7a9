package org.logophon.app.services.notifications;

import java.util.Properties;
import org.logophon.app.platform.failure.Refused;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.mail.SimpleMailMessage;
import org.springframework.mail.javamail.JavaMailSenderImpl;
import org.springframework.stereotype.Component;

/** Mail by the server that the settings name (RFC 5321), by TLS where it offers it (RFC 3207). */
@Component
class Mail {

    private static final int PATIENCE_MILLIS = 15_000;
    private static final int USUAL_PORT = 587;

    private final JavaMailSenderImpl sender;
    private final String from;
    private final PublicPlace place;

    /** @param server name, and a port after a colon; empty for none */
    Mail(
            @Value("${logophon.mail.server}") String server,
            @Value("${logophon.mail.user}") String user,
            @Value("${logophon.mail.password}") String password,
            @Value("${logophon.mail.from}") String from,
            PublicPlace place) {
        this.place = place;
        this.from = from.isBlank() ? user : from.strip();
        if (server.isBlank()) {
            sender = null;
            return;
        }
        String[] parts = server.strip().split(":");
        sender = new JavaMailSenderImpl();
        sender.setHost(parts[0]);
        sender.setPort(parts.length > 1 ? Integer.parseInt(parts[1]) : USUAL_PORT);
        Properties properties = sender.getJavaMailProperties();
        properties.put("mail.smtp.starttls.enable", "true");
        properties.put("mail.smtp.connectiontimeout", PATIENCE_MILLIS);
        properties.put("mail.smtp.timeout", PATIENCE_MILLIS);
        properties.put("mail.smtp.writetimeout", PATIENCE_MILLIS);
        if (!user.isBlank()) {
            sender.setUsername(user.strip());
            sender.setPassword(password);
            properties.put("mail.smtp.auth", "true");
        }
    }

    boolean there() {
        return sender != null;
    }

    /** @throws Refused for what is no address */
    static String checked(String address) {
        String to = address.strip();
        if (!to.isEmpty() && !to.matches("[^\\s@<>,;:\"]{1,64}@[A-Za-z0-9.-]{1,190}")) {
            throw new Refused("“" + to + "” is no address of mail. Write one, as name@example.org, or leave it empty.");
        }
        return to;
    }

    void send(String to, Notification notification) {
        if (sender == null) {
            return;
        }
        SimpleMailMessage message = new SimpleMailMessage();
        message.setTo(to);
        message.setFrom(from);
        message.setSubject(notification.projectName() + ": " + firstLine(notification.sentence()));
        message.setText(notification.sentence() + "\n\n" + place.address(notification.address()) + "\n");
        sender.send(message);
    }

    /** Of a subject there is one line, whatever somebody wrote. */
    private static String firstLine(String sentence) {
        String line = sentence.replaceAll("\\s+", " ").strip();
        return line.length() > 120 ? line.substring(0, 119) + "…" : line;
    }
}
