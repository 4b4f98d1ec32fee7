package org.sallowbrook.server.platform;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Set;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** Refuses bodies larger than any form needs, whether or not they announce their length. */
@Component
class BodyLimit extends OncePerRequestFilter {

    private static final long KB = 1024;
    private static final long MB = 1024 * KB;

    private static final long MOST_BYTES = 256 * KB;

    /** A table of weather, a walk of some hours recorded by the second: read line by line, not into a form. */
    private static final long MOST_FILE_BYTES = 4 * MB;

    private static final Set<String> FILES = Set.of("/api/field/weather", "/api/field/ground/file");

    /** Lists that were kept elsewhere. */
    private static final String LISTS = "/api/archive/tables/";

    /** All records of a household with their pictures; written to the disk as it comes. */
    private static final String ARCHIVE = "/api/archive/readings";

    private static final long MOST_ARCHIVE_BYTES = 2048 * MB;

    static final class TooLarge extends IOException {
        private static final long serialVersionUID = 1L;

        TooLarge(long most) {
            super("It is larger than " + (most < MB ? most / KB + " kB." : most / MB + " MB."));
        }
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        String path = request.getRequestURI();
        long most = path.equals(ARCHIVE)
                ? MOST_ARCHIVE_BYTES
                : FILES.contains(path) || path.startsWith(LISTS) ? MOST_FILE_BYTES : MOST_BYTES;
        chain.doFilter(
                new HttpServletRequestWrapper(request) {
                    @Override
                    public ServletInputStream getInputStream() throws IOException {
                        return new Limited(super.getInputStream(), most);
                    }
                },
                response);
    }

    private static final class Limited extends ServletInputStream {

        private final ServletInputStream in;
        private final long most;
        private long read;

        Limited(ServletInputStream in, long most) {
            this.in = in;
            this.most = most;
        }

        @Override
        public int read() throws IOException {
            int b = in.read();
            if (b >= 0) {
                count(1);
            }
            return b;
        }

        @Override
        public int read(byte[] bytes, int from, int length) throws IOException {
            int n = in.read(bytes, from, length);
            if (n > 0) {
                count(n);
            }
            return n;
        }

        private void count(int n) throws TooLarge {
            read += n;
            if (read > most) {
                throw new TooLarge(most);
            }
        }

        @Override
        public boolean isFinished() {
            return in.isFinished();
        }

        @Override
        public boolean isReady() {
            return in.isReady();
        }

        @Override
        public void setReadListener(ReadListener listener) {
            in.setReadListener(listener);
        }
    }
}
