package org.logophon.app.steps.status;

import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;

/** The page of the system's status, for who keeps the machine. */
@Controller
class StatusController {

    private final SystemStatus status;

    StatusController(SystemStatus status) {
        this.status = status;
    }

    @GetMapping("/status")
    String page(Model model) {
        fill(model);
        return "status";
    }

    @GetMapping("/status/now")
    String now(Model model) {
        fill(model);
        return "status :: now";
    }

    private void fill(Model model) {
        model.addAttribute("lines", status.lines());
        model.addAttribute("engines", status.engines());
    }
}
