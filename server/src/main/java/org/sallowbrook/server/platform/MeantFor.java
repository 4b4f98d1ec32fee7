package org.sallowbrook.server.platform;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.web.filter.OncePerRequestFilter;
import tools.jackson.databind.json.JsonMapper;

/**
 * A page names the account it speaks for. Where the browser is signed in as another meanwhile, in a second tab or on a phone
 * that goes from hand to hand, nothing is done and nothing shown: it would be recorded under the wrong name.
 */
class MeantFor extends OncePerRequestFilter {

    static final String HEADER = "Sallowbrook-Account";

    private final JsonMapper json;

    MeantFor(JsonMapper json) {
        this.json = json;
    }

    /** Whoever signs in, or asks who is signed in, is nobody yet. */
    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        return request.getRequestURI().equals("/api/session")
                && !request.getMethod().equals("DELETE");
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        String named = request.getHeader(HEADER);
        if (named == null || isOf(SecurityContextHolder.getContext().getAuthentication(), named)) {
            chain.doFilter(request, response);
        } else {
            Guard.write(
                    response,
                    json,
                    HttpStatus.UNAUTHORIZED,
                    "Somebody else is signed in here now. Nothing was done in their name.");
        }
    }

    private static boolean isOf(@Nullable Authentication authentication, String named) {
        // Who is not signed in at all is told so by whoever asks for more.
        return authentication == null
                || !(authentication.getPrincipal() instanceof Member member)
                || member.accountId().toString().equals(named);
    }
}
