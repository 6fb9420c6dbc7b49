package mensor.server.web;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.HexFormat;
import java.util.concurrent.ThreadLocalRandom;
import org.slf4j.MDC;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** Each request has a number of its own: in the lines of the log, and in its answer, so that one is found by the other. */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class RequestIds extends OncePerRequestFilter {
    static final String NAME = "request";

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        String id = HexFormat.of().toHexDigits(ThreadLocalRandom.current().nextInt());
        response.setHeader("X-Request-Id", id);
        MDC.put(NAME, id);
        try {
            chain.doFilter(request, response);
        } finally {
            MDC.remove(NAME);
        }
    }
}
