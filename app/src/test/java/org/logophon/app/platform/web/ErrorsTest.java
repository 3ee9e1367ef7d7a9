package org.logophon.app.platform.web;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.logophon.app.platform.failure.NotFound;
import org.springframework.dao.DataAccessResourceFailureException;
import org.springframework.http.ResponseEntity;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.util.unit.DataSize;
import org.springframework.web.servlet.ModelAndView;

class ErrorsTest {

    private final Errors errors = new Errors(DataSize.ofMegabytes(120));
    private final MockHttpServletRequest request = new MockHttpServletRequest("GET", "/projects/x/write");

    @Test
    void aDatabaseThatIsAwayCostsAWait() {
        request.addHeader("Accept", "application/json");
        ResponseEntity<?> answer =
                (ResponseEntity<?>) errors.unknown(new DataAccessResourceFailureException("gone"), request);
        assertThat(answer.getStatusCode().value()).isEqualTo(503);
        assertThat(answer.getBody())
                .isEqualTo(new SentenceAnswer(
                        "The database doesn't answer right now. Nothing is lost; wait a moment and try again."));
    }

    @Test
    void aPersonGetsAPageAndAScriptGetsJson() {
        request.addHeader("Accept", "text/html,application/xhtml+xml");
        ModelAndView page = (ModelAndView) errors.notFound(new NotFound("Gone."), request);
        assertThat(page.getViewName()).isEqualTo("error");
        assertThat(page.getModel()).containsEntry("sentence", "Gone.");
        request.addHeader("HX-Request", "true");
        assertThat(errors.notFound(new NotFound("Gone."), request)).isInstanceOf(ResponseEntity.class);
    }

    @Test
    void aFailureInsideTellsNothingOfTheInside() {
        request.addHeader("Accept", "application/json");
        ResponseEntity<?> answer =
                (ResponseEntity<?>) errors.unknown(new IllegalStateException("table secret_table"), request);
        assertThat(answer.getStatusCode().value()).isEqualTo(500);
        assertThat(String.valueOf(answer.getBody()))
                .doesNotContain("secret_table")
                .contains("logged");
    }
}
