package mensor.server.web;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Optional;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.web.filter.OncePerRequestFilter;

/** A script that shows a token acts as the token's person, within its scopes, and no session is begun. */
class ScriptFilter extends OncePerRequestFilter {
    private static final String SCHEME = "Bearer ";

    private final ScriptAccess scripts;

    ScriptFilter(ScriptAccess scripts) {
        this.scripts = scripts;
    }

    /** Whether a request shows a token; then no cookie counts, and no page can have sent it in somebody's name. */
    static boolean isByToken(HttpServletRequest request) {
        String header = request.getHeader(HttpHeaders.AUTHORIZATION);
        return header != null && header.startsWith(SCHEME);
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (!isByToken(request)) {
            chain.doFilter(request, response);
            return;
        }
        Optional<ScriptAccess.Script> script =
                scripts.by(request.getHeader(HttpHeaders.AUTHORIZATION).substring(SCHEME.length()));
        if (script.isEmpty()) {
            Security.problem(response, HttpStatus.UNAUTHORIZED, "this token is unknown, over or revoked");
        } else if (!script.get().may().test(request.getMethod(), AskedPath.of(request))) {
            Security.problem(response, HttpStatus.FORBIDDEN, "this token is not for that");
        } else {
            SecurityContextHolder.setContext(script.get().who());
            chain.doFilter(request, response);
        }
    }
}
