package mensor.server.people;

import java.util.List;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Tokens for one's scripts. */
@RestController
@RequestMapping("/api/tokens")
class TokenController {
    private final AccessTokens tokens;

    TokenController(AccessTokens tokens) {
        this.tokens = tokens;
    }

    /** One's own; the quality manager's list is everybody's. */
    @GetMapping
    List<AccessTokens.TokenView> all(@AuthenticationPrincipal Actor actor) {
        return tokens.of(actor);
    }

    @PostMapping
    AccessTokens.MadeToken make(@AuthenticationPrincipal Actor actor, @RequestBody AccessTokens.NewToken token) {
        return tokens.make(actor, token);
    }

    @DeleteMapping("/{id}")
    List<AccessTokens.TokenView> revoke(@AuthenticationPrincipal Actor actor, @PathVariable UUID id) {
        tokens.revoke(actor, id);
        return tokens.of(actor);
    }
}
