package org.sallowbrook.server.platform;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.concurrent.Semaphore;
import java.util.regex.Pattern;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Lets so many requests at once to the database's connections as have patience to wait for them. A picture that comes up a slow
 * line holds a thread for minutes and no connection: it is not counted, so that two hundred of them hold nobody up.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class AtOnce extends OncePerRequestFilter {

    /** Four for each connection: more would wait longer than the pool's patience. */
    private static final int MOST = 40;

    private static final Pattern SLOW = Pattern.compile("multipart/|application/zip", Pattern.CASE_INSENSITIVE);

    private final Semaphore free = new Semaphore(MOST, true);

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        String type = request.getContentType();
        if (type != null && SLOW.matcher(type).lookingAt()) {
            chain.doFilter(request, response);
            return;
        }
        free.acquireUninterruptibly();
        try {
            chain.doFilter(request, response);
        } finally {
            free.release();
        }
    }
}
