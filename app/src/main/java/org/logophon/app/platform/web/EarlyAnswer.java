package org.logophon.app.platform.web;

import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.logophon.app.platform.failure.Forbidden;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.HandlerExceptionResolver;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.View;
import org.springframework.web.servlet.ViewResolver;

/** Answers a request that no page has seen yet, in the same words and forms as those that one has. */
@Component
class EarlyAnswer {

    private final HandlerExceptionResolver answers;
    private final ViewResolver views;

    EarlyAnswer(
            @Qualifier("handlerExceptionResolver") HandlerExceptionResolver answers,
            @Qualifier("thymeleafViewResolver") ViewResolver views) {
        this.answers = answers;
        this.views = views;
    }

    void refuse(HttpServletRequest request, HttpServletResponse response, String sentence)
            throws ServletException, IOException {
        ModelAndView page = answers.resolveException(request, response, null, new Forbidden(sentence));
        if (page == null || page.getViewName() == null) {
            return;
        }
        response.setStatus(
                page.getStatus() == null
                        ? HttpServletResponse.SC_FORBIDDEN
                        : page.getStatus().value());
        try {
            View view = views.resolveViewName(page.getViewName(), request.getLocale());
            if (view != null) {
                view.render(page.getModel(), request, response);
            }
        } catch (ServletException | IOException | RuntimeException failed) {
            throw failed;
        } catch (Exception failed) {
            throw new ServletException(failed);
        }
    }
}
