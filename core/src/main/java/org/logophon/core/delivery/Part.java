package org.logophon.core.delivery;

import java.util.List;

/** Something that a delivery may hold: it makes one file or more of the programme. */
public interface Part {

    /** For settings and commands: one small word. */
    String id();

    /** For people. */
    String label();

    /** Names are settled at once; what is in a file is made when it is written. */
    List<PartFile> files(Delivered delivered, DeliveryOptions wishes, Sounds sounds);
}
