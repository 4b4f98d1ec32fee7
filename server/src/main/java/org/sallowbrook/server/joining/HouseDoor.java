package org.sallowbrook.server.joining;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.net.InetAddress;
import java.util.regex.Pattern;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Who comes in from the house, and by which door: whoever is not of a house's own network does not come in at all, and over http
 * one gets to the page for joining, to its type and drawings, and to nothing else.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class HouseDoor extends OncePerRequestFilter {

    static final String PAGE = "/join.html";

    private static final Pattern FOR_JOINING =
            Pattern.compile("/join\\.html|/brook\\.svg|/assets/[A-Za-z0-9._/-]+|/api/joining/(about|authority\\.crt)");
    /** Whoever opens an empty household is its keeper: that is done where the machine is, not by the first guest in the house. */
    private static final String SETUP = "/api/setup";

    private static final String AT_THE_MACHINE =
            "{\"status\":403,\"title\":\"Forbidden\",\"detail\":\"The first account is"
                    + " made on the machine itself, at the address it prints when it starts. Then everybody signs in from here.\"}";

    private static final Pattern HOST = Pattern.compile("[a-z0-9.-]{1,253}|\\[[0-9a-f:.]{2,45}]");

    private final Home home;

    HouseDoor(Home home) {
        this.home = home;
    }

    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        return !home.listens() || request.getLocalPort() != home.port() && request.getLocalPort() != home.plainPort();
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        // An address, never a name: nobody is asked what it means.
        if (!Addresses.isOfAHouse(InetAddress.getByName(request.getRemoteAddr()))) {
            response.setStatus(HttpServletResponse.SC_FORBIDDEN);
            return;
        }
        String path = request.getRequestURI();
        if (request.getLocalPort() == home.port()) {
            // As it is read, decoded and without what follows a semicolon.
            if (request.getServletPath().startsWith(SETUP)) {
                response.setStatus(HttpServletResponse.SC_FORBIDDEN);
                response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
                response.getWriter().write(AT_THE_MACHINE);
                return;
            }
            chain.doFilter(request, response);
            return;
        }
        if (!"GET".equals(request.getMethod()) || !FOR_JOINING.matcher(path).matches() || path.contains("..")) {
            response.setStatus(HttpServletResponse.SC_SEE_OTHER);
            response.setHeader(HttpHeaders.LOCATION, PAGE);
            return;
        }
        if (path.equals(PAGE)) {
            String host = request.getServerName();
            response.setHeader(
                    "Content-Security-Policy",
                    "default-src 'none'; script-src 'self'; style-src 'self'; img-src 'self' data:; font-src 'self';"
                            + " connect-src 'self'"
                            + (HOST.matcher(host).matches() ? " https://" + host + ":" + home.port() : "")
                            + "; base-uri 'none'; form-action 'none'; frame-ancestors 'none'");
        }
        chain.doFilter(request, response);
    }
}
