package mensor.server.web;

import java.util.Optional;
import java.util.function.BiPredicate;
import org.springframework.security.core.context.SecurityContext;

/** Who comes with a token; answered by whoever keeps the tokens. */
public interface ScriptAccess {
    /**
     * @param who as whom the script acts
     * @param may whether a request, by its method and path, is within the token's scopes
     */
    record Script(SecurityContext who, BiPredicate<String, String> may) {}

    /** Empty where the token is unknown, over or revoked. */
    Optional<Script> by(String token);
}
