package org.logophon.app.services.rendering;

import java.util.UUID;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;

/** The programme that the transport walks through. */
@RestController
class ProgrammeController {

    private final ProgrammeReader programmes;

    ProgrammeController(ProgrammeReader programmes) {
        this.programmes = programmes;
    }

    @GetMapping("/projects/{id}/programme")
    ProgrammeReader.Answer programme(@PathVariable UUID id) {
        return programmes.of(id);
    }
}
