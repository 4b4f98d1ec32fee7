package org.sallowbrook.server.platform;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.net.URLDecoder;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.CodingErrorAction;
import java.nio.charset.StandardCharsets;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import tools.jackson.databind.json.JsonMapper;

/**
 * Outside of everything: what fails before a room is reached, such as reading the session from a database that is away, is
 * answered as a problem too, and a body of a kind that no room reads is refused before anybody tries to.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class LastResort extends OncePerRequestFilter {

    private static final Logger LOG = LoggerFactory.getLogger(LastResort.class);

    private final JsonMapper json;

    LastResort(JsonMapper json) {
        this.json = json;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        String type = request.getContentType();
        if (type != null && type.toLowerCase(java.util.Locale.ROOT).startsWith("application/x-www-form-urlencoded")) {
            write(
                    response,
                    ProblemDetail.forStatusAndDetail(HttpStatus.UNSUPPORTED_MEDIA_TYPE, "Send JSON, not a form."));
            return;
        }
        if (!readable(request.getQueryString())) {
            write(
                    response,
                    ProblemDetail.forStatusAndDetail(
                            HttpStatus.BAD_REQUEST, "The address holds letters that can't be read."));
            return;
        }
        try {
            chain.doFilter(request, response);
        } catch (IOException | ServletException | RuntimeException e) {
            if (response.isCommitted()) {
                throw e;
            }
            ProblemDetail body = Storage.problem(e);
            if (body == null) {
                LOG.error("unexpected", e);
                body = ProblemDetail.forStatusAndDetail(
                        HttpStatus.INTERNAL_SERVER_ERROR,
                        "Something went wrong on our side; this was not saved. The log says more.");
            } else {
                LOG.error("storage: {}", e.getMessage());
            }
            response.reset();
            write(response, body);
        }
    }

    /** Whether what stands behind the question mark is UTF-8 without control characters. */
    private static boolean readable(@Nullable String query) {
        if (query == null) {
            return true;
        }
        try {
            byte[] bytes = URLDecoder.decode(query.replace("+", " "), StandardCharsets.ISO_8859_1)
                    .getBytes(StandardCharsets.ISO_8859_1);
            String text = StandardCharsets.UTF_8
                    .newDecoder()
                    .onMalformedInput(CodingErrorAction.REPORT)
                    .onUnmappableCharacter(CodingErrorAction.REPORT)
                    .decode(ByteBuffer.wrap(bytes))
                    .toString();
            return text.chars().noneMatch(c -> Character.isISOControl(c) && c != '\n' && c != '\r' && c != '\t');
        } catch (CharacterCodingException | IllegalArgumentException e) {
            return false;
        }
    }

    private void write(HttpServletResponse response, ProblemDetail body) throws IOException {
        response.setStatus(body.getStatus());
        response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
        response.setCharacterEncoding("UTF-8");
        response.getWriter().write(json.writeValueAsString(body));
    }
}
