package org.logophon.app.platform.web;

/** The host names under which the application answers, beside those of this machine. */
public interface AllowedHosts {

    /** True while people of elsewhere may come in. */
    boolean peopleComeIn();

    /** Name by which others reach it; null for nobody else. */
    String publicHost();

    /** True when others reach it by TLS only. */
    boolean publicByTls();
}
