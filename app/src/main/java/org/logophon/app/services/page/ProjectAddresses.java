package org.logophon.app.services.page;

import jakarta.servlet.DispatcherType;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import org.logophon.app.platform.failure.NotFound;
import org.logophon.app.services.project.ProjectParts;
import org.logophon.app.services.project.Projects;
import org.springframework.context.annotation.Configuration;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.HandlerMapping;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/**
 * One check for every address of a project, before anything else is done: the project is there, and what the address or
 * its form names is the project's own.
 */
@Configuration
class ProjectAddresses implements WebMvcConfigurer, HandlerInterceptor {

    private static final String PROJECT = "id";
    private static final String CUE = "cue";

    private final Projects projects;
    private final ProjectParts parts;

    ProjectAddresses(Projects projects, ProjectParts parts) {
        this.projects = projects;
        this.parts = parts;
    }

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        // one that was deleted is asked for by these alone
        registry.addInterceptor(this)
                .addPathPatterns("/projects/*/**")
                .excludePathPatterns("/projects/*/restore", "/projects/*/delete");
    }

    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler) {
        // a stream that ends because its project was deleted was looked at when it began
        if (request.getDispatcherType() == DispatcherType.ASYNC) {
            return true;
        }
        Map<String, String> named = named(request);
        UUID project = id(named.remove(PROJECT));
        if (project == null) {
            return true;
        }
        projects.require(project);
        named.forEach((kind, value) -> {
            UUID part = id(value);
            if (part != null && !parts.belongs(kind, part, project)) {
                throw new NotFound("That isn't in this project, or isn't there any more. Reload the page.");
            }
        });
        return true;
    }

    private static Map<String, String> named(HttpServletRequest request) {
        Map<String, String> named = new HashMap<>();
        if (request.getAttribute(HandlerMapping.URI_TEMPLATE_VARIABLES_ATTRIBUTE) instanceof Map<?, ?> variables) {
            variables.forEach((name, value) -> named.put(String.valueOf(name), String.valueOf(value)));
        }
        // forms name a cue too; files are not read for it
        String type = String.valueOf(request.getContentType());
        if (!named.containsKey(CUE) && !type.startsWith("multipart/") && request.getParameter(CUE) != null) {
            named.put(CUE, request.getParameter(CUE));
        }
        return named;
    }

    /** Null for what is none: then the address isn't one, and is refused as that. */
    private static UUID id(String value) {
        try {
            return value == null ? null : UUID.fromString(value);
        } catch (IllegalArgumentException none) {
            return null;
        }
    }
}
