package org.logophon.app;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.Proxy;
import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.Statement;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import javax.sql.DataSource;
import org.springframework.beans.factory.config.BeanPostProcessor;
import org.springframework.boot.test.context.TestConfiguration;
import org.springframework.context.annotation.Bean;
import org.springframework.web.filter.OncePerRequestFilter;

/** Counts the statements that a request sends to the database. */
final class CountedQueries extends OncePerRequestFilter implements BeanPostProcessor {

    /** Brings it into an application under test. */
    @TestConfiguration
    static class Counting {

        @Bean
        static CountedQueries countedQueries() {
            return new CountedQueries();
        }
    }

    /** A request that carries it is counted under its value. */
    static final String HEADER = "X-Counted-As";

    private static final ThreadLocal<int[]> COUNT = ThreadLocal.withInitial(() -> new int[1]);

    private final Map<String, Integer> byRequest = new ConcurrentHashMap<>();

    int of(String request) {
        return byRequest.get(request);
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        COUNT.get()[0] = 0;
        try {
            chain.doFilter(request, response);
        } finally {
            if (request.getHeader(HEADER) != null) {
                byRequest.put(request.getHeader(HEADER), COUNT.get()[0]);
            }
        }
    }

    @Override
    public Object postProcessAfterInitialization(Object bean, String name) {
        return bean instanceof DataSource source ? counting(source, DataSource.class) : bean;
    }

    @SuppressWarnings("unchecked")
    private static <T> T counting(T real, Class<T> type) {
        return (T) Proxy.newProxyInstance(type.getClassLoader(), interfaces(real, type), (proxy, method, arguments) -> {
            if (real instanceof Statement && method.getName().startsWith("execute")) {
                COUNT.get()[0]++;
            }
            if (real instanceof Connection && method.getName().startsWith("prepare")) {
                WritesAtHome.check((String) arguments[0]);
            }
            Object result;
            try {
                result = method.invoke(real, arguments);
            } catch (InvocationTargetException failed) {
                throw failed.getCause();
            }
            if (result instanceof PreparedStatement statement) {
                return counting(statement, PreparedStatement.class);
            }
            if (result instanceof Statement statement) {
                return counting(statement, Statement.class);
            }
            return result instanceof Connection connection ? counting(connection, Connection.class) : result;
        });
    }

    private static Class<?>[] interfaces(Object real, Class<?> type) {
        return real instanceof AutoCloseable && !type.isInstance(AutoCloseable.class)
                ? new Class<?>[] {type, AutoCloseable.class}
                : new Class<?>[] {type};
    }
}
