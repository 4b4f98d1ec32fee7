package org.sallowbrook.server.household;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.server.platform.Member;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.http.HttpStatus;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.authority.SimpleGrantedAuthority;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.security.web.csrf.CsrfToken;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Signing in and out, and the first account. */
@RestController
class SessionController {

    record SignInRequest(String username, String password) {}

    /**
     * @param setup whether the first account is still to be made
     * @param account who is signed in, whatever they or their household are called later
     * @param zone in which the household counts its days
     * @param whomToCall kept on the device, for when something is wrong and nobody is signed in
     * @param now by the clock of the server, which in the demo is a calendar of its own
     */
    record SessionView(
            Boolean signedIn,
            Boolean setup,
            Boolean demo,
            @Nullable UUID account,
            @Nullable String name,
            Member.@Nullable Role role,
            @Nullable String household,
            @Nullable String region,
            @Nullable String zone,
            Boolean standIns,
            HouseholdService.@Nullable WhomToCall whomToCall,
            Instant now) {}

    private final SignIn signIn;
    private final HouseholdService household;
    private final SecurityContextRepository contexts;
    private final Clock clock;
    private final boolean demo;

    SessionController(
            SignIn signIn,
            HouseholdService household,
            SecurityContextRepository contexts,
            Clock clock,
            @Value("${sallowbrook.demo}") boolean demo) {
        this.clock = clock;
        this.signIn = signIn;
        this.household = household;
        this.contexts = contexts;
        this.demo = demo;
    }

    /** Also sets the XSRF-TOKEN cookie. */
    @GetMapping("/api/session")
    SessionView session(HttpServletRequest request) {
        if (request.getAttribute(CsrfToken.class.getName()) instanceof CsrfToken token) {
            // Asking for it is what sets the cookie.
            token.getToken();
        }
        var authentication = SecurityContextHolder.getContext().getAuthentication();
        if (authentication != null && authentication.getPrincipal() instanceof Member member) {
            HouseholdService.About about = household.about();
            return new SessionView(
                    true,
                    false,
                    demo,
                    member.accountId(),
                    member.displayName(),
                    member.role(),
                    about.name(),
                    about.region(),
                    about.zone(),
                    demo || about.standIns(),
                    about.whomToCall(),
                    clock.instant());
        }
        return new SessionView(
                false, signIn.empty(), demo, null, null, null, null, null, null, false, null, clock.instant());
    }

    @PostMapping("/api/session")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void signIn(@RequestBody SignInRequest body, HttpServletRequest request, HttpServletResponse response) {
        remember(signIn.check(body.username(), body.password(), request.getRemoteAddr()), request, response);
    }

    @DeleteMapping("/api/session")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void signOut(HttpServletRequest request) {
        SecurityContextHolder.clearContext();
        HttpSession session = request.getSession(false);
        if (session != null) {
            session.invalidate();
        }
    }

    @PostMapping("/api/setup")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void setup(@RequestBody SignIn.SetupRequest body, HttpServletRequest request, HttpServletResponse response) {
        remember(signIn.open(body), request, response);
    }

    /** So that a keeper knows which of them is the lost one; browsers say no more of themselves than the kind. */
    private static String device(HttpServletRequest request) {
        String agent = String.valueOf(request.getHeader("User-Agent"));
        String kind = agent.contains("Mobile") ? "a phone" : "a computer";
        return kind + " at " + request.getRemoteAddr();
    }

    private void remember(Member member, HttpServletRequest request, HttpServletResponse response) {
        // A new id, so that a session prepared by somebody else is worth nothing.
        request.getSession(true).setAttribute(HouseholdService.DEVICE, device(request));
        request.changeSessionId();
        SecurityContext context = SecurityContextHolder.createEmptyContext();
        context.setAuthentication(new UsernamePasswordAuthenticationToken(
                member, null, List.of(new SimpleGrantedAuthority("ROLE_" + member.role()))));
        SecurityContextHolder.setContext(context);
        contexts.saveContext(context, request, response);
    }
}
