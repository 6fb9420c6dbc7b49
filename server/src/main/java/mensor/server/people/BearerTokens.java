package mensor.server.people;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Optional;
import mensor.server.web.ScriptAccess;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.stereotype.Component;

/** A script that shows a token acts as the token's person, within its scopes, and no session is begun. */
@Component
class BearerTokens extends ScriptAccess {
    private final AccessTokens tokens;

    BearerTokens(AccessTokens tokens) {
        this.tokens = tokens;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (!isByToken(request)) {
            chain.doFilter(request, response);
            return;
        }
        String shown = request.getHeader(HttpHeaders.AUTHORIZATION)
                .substring(SCHEME.length())
                .strip();
        Optional<AccessTokens.Bearer> bearer = tokens.bearer(shown);
        if (bearer.isEmpty()) {
            refuse(response, HttpStatus.UNAUTHORIZED, "this token is unknown, over or revoked");
        } else if (!bearer.get().may(request.getMethod(), request.getRequestURI())) {
            refuse(response, HttpStatus.FORBIDDEN, "this token is not for that");
        } else {
            SecurityContextHolder.setContext(SignedIn.context(bearer.get().actor()));
            chain.doFilter(request, response);
        }
    }
}
