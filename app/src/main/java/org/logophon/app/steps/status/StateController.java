package org.logophon.app.steps.status;

import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;

/** The state of the house, for who keeps it. */
@Controller
class StateController {

    private final SystemStatus state;

    StateController(SystemStatus state) {
        this.state = state;
    }

    @GetMapping("/state")
    String page(Model model) {
        fill(model);
        return "state";
    }

    @GetMapping("/state/now")
    String now(Model model) {
        fill(model);
        return "state :: now";
    }

    private void fill(Model model) {
        model.addAttribute("lines", state.lines());
        model.addAttribute("engines", state.engines());
    }
}
