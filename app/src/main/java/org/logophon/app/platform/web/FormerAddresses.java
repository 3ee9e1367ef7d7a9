package org.logophon.app.platform.web;

import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;

/** Addresses that pages had before: bookmarks go on leading there. */
@Controller
class FormerAddresses {

    @GetMapping("/space")
    String storage() {
        return "redirect:/storage";
    }

    @GetMapping("/state")
    String status() {
        return "redirect:/status";
    }

    @GetMapping("/word")
    String notifications() {
        return "redirect:/notifications";
    }
}
