package mensor.server.web;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.web.filter.OncePerRequestFilter;

/** Lets in whoever shows a token; answered by whoever keeps the tokens. */
public abstract class ScriptAccess extends OncePerRequestFilter {
    protected static final String SCHEME = "Bearer ";

    /** Whether a request shows a token; then no cookie counts, and no page can have sent it in somebody's name. */
    public static boolean isByToken(HttpServletRequest request) {
        String header = request.getHeader(HttpHeaders.AUTHORIZATION);
        return header != null && header.startsWith(SCHEME);
    }

    protected static void refuse(HttpServletResponse response, HttpStatus status, String why) throws IOException {
        Security.problem(response, status, why);
    }
}
