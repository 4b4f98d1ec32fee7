package org.sallowbrook.server.platform;

import jakarta.servlet.http.HttpServletRequest;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.time.Clock;
import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.context.properties.EnableConfigurationProperties;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.annotation.Profile;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpMethod;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.security.authorization.AuthorityAuthorizationManager;
import org.springframework.security.authorization.AuthorizationDecision;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.crypto.factory.PasswordEncoderFactories;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.access.intercept.AuthorizationFilter;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
import org.springframework.security.web.context.SecurityContextRepository;
import tools.jackson.databind.json.JsonMapper;

/** Who may do what over HTTP: readers look, helpers and keepers change, nothing is open but sign-in. */
@Configuration
@EnableConfigurationProperties(Guard.Settings.class)
class Guard {

    private static final AuthorityAuthorizationManager<Object> KEEPERS =
            AuthorityAuthorizationManager.hasRole("KEEPER");

    static final String CONTENT_POLICY =
            "default-src 'none'; script-src 'self'; style-src 'self'; img-src 'self' data:;"
                    + " font-src 'self'; connect-src 'self'; manifest-src 'self'; worker-src 'self'; base-uri 'none'; form-action 'self';"
                    + " frame-ancestors 'none'";

    /**
     * @param demo whether the demo's sign-in is shown on the first page
     * @param metricsToken with which a program reads the metrics; empty for none
     */
    @ConfigurationProperties("sallowbrook")
    record Settings(boolean demo, String metricsToken) {

        /** In a time that tells nothing of how much of it was right. */
        boolean mayRead(HttpServletRequest request) {
            String said = String.valueOf(request.getHeader(HttpHeaders.AUTHORIZATION));
            return !metricsToken.isEmpty()
                    && MessageDigest.isEqual(
                            said.getBytes(StandardCharsets.UTF_8),
                            ("Bearer " + metricsToken).getBytes(StandardCharsets.UTF_8));
        }
    }

    @Bean
    @Profile("!demo")
    Clock clock() {
        return Clock.systemUTC();
    }

    @Bean
    PasswordEncoder passwordEncoder() {
        return PasswordEncoderFactories.createDelegatingPasswordEncoder();
    }

    @Bean
    SecurityContextRepository securityContextRepository() {
        return new HttpSessionSecurityContextRepository();
    }

    @Bean
    SecurityFilterChain chain(HttpSecurity http, SecurityContextRepository contexts, JsonMapper json, Settings settings)
            throws Exception {
        http.authorizeHttpRequests(r -> r.requestMatchers("/api/session", "/api/session/reset", "/api/setup")
                        .permitAll()
                        // A phone that joins is nobody yet.
                        .requestMatchers(
                                HttpMethod.GET, "/api/joining/about", "/api/joining/here", "/api/joining/authority.crt")
                        .permitAll()
                        .requestMatchers("/api/joining/**")
                        .hasRole("KEEPER")
                        .requestMatchers("/api/session/**")
                        .authenticated()
                        .requestMatchers("/api/household/members/**", "/api/archive/**")
                        .hasRole("KEEPER")
                        .requestMatchers(
                                HttpMethod.POST, "/api/calculators/**", "/api/training/**", "/api/making/batches/check")
                        .authenticated()
                        // Whoever has the secret of a calendar's address reads it: a calendar program does not sign in.
                        .requestMatchers(HttpMethod.GET, "/api/calendar/feed/*")
                        .permitAll()
                        .requestMatchers(HttpMethod.GET, "/api/**", "/v3/**")
                        .authenticated()
                        .requestMatchers("/api/people/**", "/api/herbarium/**", "/api/household/**")
                        .hasRole("KEEPER")
                        .requestMatchers("/api/**")
                        .hasAnyRole("KEEPER", "HELPER")
                        .requestMatchers("/actuator/health/**")
                        .permitAll()
                        .requestMatchers(HttpMethod.GET, "/actuator/prometheus")
                        .access((who, at) -> new AuthorizationDecision(settings.mayRead(at.getRequest())
                                || KEEPERS.authorize(who, at).isGranted()))
                        .requestMatchers("/actuator/**")
                        .denyAll()
                        .anyRequest()
                        .permitAll())
                .addFilterAfter(new MeantFor(json), AuthorizationFilter.class)
                .csrf(c -> c.spa())
                .securityContext(c -> c.securityContextRepository(contexts))
                .formLogin(f -> f.disable())
                .httpBasic(b -> b.disable())
                .logout(l -> l.disable())
                .requestCache(c -> c.disable())
                // The machine's name in the house leads to http too, where a phone joins.
                .headers(h -> h.httpStrictTransportSecurity(s -> s.disable())
                        .contentSecurityPolicy(p -> p.policyDirectives(CONTENT_POLICY))
                        .referrerPolicy(p -> p.policy(
                                org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter
                                        .ReferrerPolicy.NO_REFERRER)))
                .exceptionHandling(e -> e.authenticationEntryPoint((request, response, x) ->
                                write(response, json, HttpStatus.UNAUTHORIZED, "Sign in first."))
                        .accessDeniedHandler((request, response, x) -> write(
                                response,
                                json,
                                HttpStatus.FORBIDDEN,
                                x instanceof org.springframework.security.web.csrf.CsrfException
                                        ? "The page is out of date. Load it again; what you typed was not saved."
                                        : "Your role does not allow this.")));
        return http.build();
    }

    static void write(
            jakarta.servlet.http.HttpServletResponse response, JsonMapper json, HttpStatus status, String detail)
            throws java.io.IOException {
        response.setStatus(status.value());
        response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
        response.setCharacterEncoding("UTF-8");
        response.getWriter().write(json.writeValueAsString(ProblemDetail.forStatusAndDetail(status, detail)));
    }
}
