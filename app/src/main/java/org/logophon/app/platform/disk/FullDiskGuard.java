package org.logophon.app.platform.disk;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Set;
import org.springframework.context.annotation.Configuration;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** On a full disk nothing that changes something is begun: a database that can't write down what it does stops. */
@Configuration
class FullDiskGuard implements WebMvcConfigurer, HandlerInterceptor {

    private static final Set<String> READING = Set.of("GET", "HEAD", "OPTIONS");

    private final DiskRoom room;

    FullDiskGuard(DiskRoom room) {
        this.room = room;
    }

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(this);
    }

    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler) {
        if (!READING.contains(request.getMethod())
                && handler instanceof HandlerMethod method
                && !method.hasMethodAnnotation(NeedsNoRoom.class)) {
            room.need(Math.max(0, request.getContentLengthLong()));
        }
        return true;
    }
}
