package org.logophon.app.services.page;

/** The steps of the path, in the order of habit. */
public enum Step {
    WRITE("Write"),
    CAST("Cast"),
    DIRECT("Direct"),
    LISTEN("Listen"),
    PLACE("Place"),
    DELIVER("Deliver");

    private final String title;

    Step(String title) {
        this.title = title;
    }

    public String title() {
        return title;
    }

    public int number() {
        return ordinal() + 1;
    }

    public String address() {
        return title.toLowerCase(java.util.Locale.ROOT);
    }
}
