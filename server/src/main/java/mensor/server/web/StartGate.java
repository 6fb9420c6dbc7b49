package mensor.server.web;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Shut while a start still fills the database: who asks meanwhile is told to wait. Else a newcomer would be offered to make the quality manager of a demo
 * whose people are on their way, and right passwords would be wrong.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
public class StartGate extends OncePerRequestFilter {
    private static final String RETRY_AFTER_SECONDS = "2";
    private static final String PAGE = "<!doctype html><html lang=en><meta charset=utf-8>"
            + "<meta http-equiv=refresh content=" + RETRY_AFTER_SECONDS + "><title>Mensor is starting</title>"
            + "<body style=\"font:20px sans-serif;margin:3em\"><h1>Mensor is starting</h1>"
            + "<p>It makes its data ready. This page opens by itself as soon as all is there.</p>";

    private volatile boolean isOpen;

    /** All is there. */
    public void open() {
        isOpen = true;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        String path = request.getRequestURI();
        if (isOpen || path.startsWith("/actuator/health")) {
            chain.doFilter(request, response);
            return;
        }
        response.setHeader(HttpHeaders.RETRY_AFTER, RETRY_AFTER_SECONDS);
        if (path.startsWith("/api")) {
            Security.problem(
                    response,
                    HttpStatus.SERVICE_UNAVAILABLE,
                    "Mensor is starting: it makes its data ready; try again shortly");
            return;
        }
        response.setStatus(HttpStatus.SERVICE_UNAVAILABLE.value());
        response.setContentType(MediaType.TEXT_HTML_VALUE);
        response.setCharacterEncoding("UTF-8");
        response.getWriter().write(PAGE);
    }
}
