package mensor.server.web;

import jakarta.servlet.DispatcherType;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpMethod;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.access.intercept.AuthorizationFilter;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.security.web.csrf.CookieCsrfTokenRepository;
import org.springframework.security.web.csrf.CsrfException;

/** A session cookie, a CSRF token for the browser, and problem+json for whoever is not signed in. */
@Configuration
class Security {
    /** All roles but the viewer's: what is not a signed record is theirs alone. */
    private static final String[] WHO_MAKE = {"INSPECTOR", "WELDING_ENGINEER", "REPAIR_LEAD", "QUALITY_MANAGER"};

    /** Who has to do with test pieces and drills: a learner sees own ones, which the answer itself looks to. */
    private static final String[] WHO_TRAIN = {
        "INSPECTOR", "WELDING_ENGINEER", "REPAIR_LEAD", "QUALITY_MANAGER", "INSTRUCTOR", "LEARNER"
    };

    private static final String[] FOR_TRAINING = {
        "/api/pieces/**",
        "/api/pieces",
        "/api/specimens/**",
        "/api/series/**",
        "/api/drills/**",
        "/api/drills",
        "/api/rubric",
        "/api/exercises/**",
        "/api/exercises",
        "/api/eyes/**",
        "/api/eyes",
        "/api/pictures/**"
    };

    /** Who studies gauges and people: an instructor beside those who make. */
    private static final String[] WHO_STUDY = {
        "INSPECTOR", "WELDING_ENGINEER", "REPAIR_LEAD", "QUALITY_MANAGER", "INSTRUCTOR"
    };

    private static final String[] FOR_STUDIES = {"/api/studies/**", "/api/studies", "/api/tables"};

    /** The class is an instructor's to see. */
    private static final String[] FOR_INSTRUCTORS = {"/api/class", "/api/handouts/**", "/api/handouts"};

    /** What a viewer may ask for; of an inspection that is not signed the answer refuses itself. */
    private static final String[] FOR_VIEWERS = {
        "/api/inspections/**",
        "/api/joints",
        "/api/joints/version",
        "/api/joints/*/report",
        "/api/welds/*",
        "/api/jobs",
        "/api/jobs/*",
        "/api/jobs/*/chain/**",
        "/api/jobs/*/map/**",
        "/api/jobs/*/map",
        "/api/criteria/**"
    };

    @Bean
    SecurityFilterChain chain(HttpSecurity http, SecurityContextRepository signedIn, ScriptAccess scripts)
            throws Exception {
        CookieCsrfTokenRepository tokens = CookieCsrfTokenRepository.withHttpOnlyFalse();
        tokens.setCookieCustomizer(c -> c.sameSite("Strict"));
        return http.csrf(c -> c.spa().csrfTokenRepository(tokens).ignoringRequestMatchers(ScriptFilter::isByToken))
                .addFilterBefore(new ScriptFilter(scripts), AuthorizationFilter.class)
                .securityContext(c -> c.securityContextRepository(signedIn))
                .authorizeHttpRequests(r -> r.dispatcherTypeMatchers(DispatcherType.FORWARD, DispatcherType.ERROR)
                        .permitAll()
                        .requestMatchers("/api/session", "/api/people/first", "/api/openapi")
                        .permitAll()
                        .requestMatchers(
                                "/api/session/password",
                                "/api/tokens/**",
                                "/api/tokens",
                                "/api/judge",
                                "/api/notices/**",
                                "/api/notices")
                        .authenticated()
                        .requestMatchers(HttpMethod.GET, "/api/kinds", "/api/criteria", "/api/entry-line")
                        .authenticated()
                        .requestMatchers(FOR_TRAINING)
                        .hasAnyRole(WHO_TRAIN)
                        .requestMatchers(FOR_INSTRUCTORS)
                        .hasAnyRole("INSTRUCTOR", "WELDING_ENGINEER", "QUALITY_MANAGER")
                        .requestMatchers(FOR_STUDIES)
                        .hasAnyRole(WHO_STUDY)
                        .requestMatchers(HttpMethod.GET, "/api/people", "/api/gauges")
                        .hasAnyRole(WHO_STUDY)
                        .requestMatchers(HttpMethod.GET, FOR_VIEWERS)
                        .hasAnyRole(
                                "VIEWER",
                                "INSTRUCTOR",
                                "INSPECTOR",
                                "WELDING_ENGINEER",
                                "REPAIR_LEAD",
                                "QUALITY_MANAGER")
                        .requestMatchers("/api/**")
                        .hasAnyRole(WHO_MAKE)
                        .requestMatchers("/actuator/health/**")
                        .permitAll()
                        .requestMatchers("/actuator/**")
                        .hasRole("QUALITY_MANAGER")
                        .anyRequest()
                        .permitAll())
                .exceptionHandling(
                        e -> e.authenticationEntryPoint((request, response, x) ->
                                        problem(response, HttpStatus.UNAUTHORIZED, "sign in first"))
                                .accessDeniedHandler(
                                        (request, response, x) -> problem(
                                                response,
                                                HttpStatus.FORBIDDEN,
                                                x instanceof CsrfException
                                                        ? "the page is out of date; load it again"
                                                        : "not with your role: a viewer reads signed records, a learner sees own test pieces")))
                .headers(
                        h -> h.contentSecurityPolicy(
                                c -> c.policyDirectives(
                                        "default-src 'self'; style-src 'self' 'unsafe-inline'; img-src 'self' data:; frame-ancestors 'none'")))
                .build();
    }

    static void problem(jakarta.servlet.http.HttpServletResponse response, HttpStatus status, String detail)
            throws java.io.IOException {
        response.setStatus(status.value());
        response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
        response.setCharacterEncoding("UTF-8");
        response.getWriter()
                .write("{\"status\":" + status.value() + ",\"title\":\"" + status.getReasonPhrase() + "\",\"detail\":\""
                        + detail + "\"}");
    }

    /** @param cost each one more doubles the time that a hash takes: about 0.1 s at 11 */
    @Bean
    PasswordEncoder passwordEncoder(@Value("${mensor.password-cost}") int cost) {
        return new BCryptPasswordEncoder(cost);
    }
}
