package org.logophon.app.platform.web;

import java.util.UUID;
import org.springframework.stereotype.Component;

/** Keys for forms that make something new, see {@link DoneOnce}: each form on a page has one of its own. */
@Component("formKey")
public class FormKey {

    public String next() {
        return UUID.randomUUID().toString();
    }
}
