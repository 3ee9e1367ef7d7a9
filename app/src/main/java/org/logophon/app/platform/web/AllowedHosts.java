package org.logophon.app.platform.web;

/** How others reach the application, beside the names of this machine itself. */
public interface AllowedHosts {

    /** True while people of elsewhere may come in. */
    boolean peopleComeIn();

    /** Name by which others reach it; null for nobody else. */
    String publicHost();

    /** True when others reach it by TLS only. */
    boolean publicByTls();
}
