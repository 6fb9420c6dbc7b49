package mensor.server.web;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** How much a request may carry, by what it is for: said before it is read, and held while it is. */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class BodyLimits extends OncePerRequestFilter {
    private static final int KB = 1024;
    private static final int MB = 1024 * KB;

    static int limit(String path) {
        if (path.startsWith("/api/session") || path.startsWith("/api/people")) {
            return 8 * KB;
        }
        if (path.contains("/scans/") && path.startsWith("/api/inspections/") || path.equals("/api/jobs/archive")) {
            return 1024 * MB; // kept as it comes, never in memory
        }
        if (path.endsWith("/weld-list") || path.contains("/map/") || path.equals("/api/tables")) {
            return 20 * MB;
        }
        // a little over what is kept, so that a picture of just too many bytes is answered in its own words
        return path.contains("/photos/") || path.endsWith("/photos") || path.endsWith("/document")
                ? 10 * MB + 64 * KB
                : MB;
    }

    static String said(int limit) {
        return "this is more than is taken here: at most " + (limit >= MB ? limit / MB + " MB" : limit / KB + " kB");
    }

    /** What was read went over the limit. */
    static final class TooLarge extends IOException {
        private static final long serialVersionUID = 1L;

        TooLarge(int limit) {
            super(said(limit));
        }
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        int limit = limit(AskedPath.of(request));
        if (request.getContentLengthLong() > limit) {
            Security.problem(response, HttpStatus.CONTENT_TOO_LARGE, said(limit));
            return;
        }
        chain.doFilter(new Limited(request, limit), response);
    }

    private static final class Limited extends HttpServletRequestWrapper {
        private final int limit;

        Limited(HttpServletRequest request, int limit) {
            super(request);
            this.limit = limit;
        }

        @Override
        public ServletInputStream getInputStream() throws IOException {
            return new Counted(super.getInputStream(), limit);
        }
    }

    private static final class Counted extends ServletInputStream {
        private final ServletInputStream in;
        private final int limit;
        private long read;

        Counted(ServletInputStream in, int limit) {
            this.in = in;
            this.limit = limit;
        }

        private int counted(int n) throws IOException {
            read += Math.max(0, n);
            if (read > limit) {
                throw new TooLarge(limit);
            }
            return n;
        }

        @Override
        public int read() throws IOException {
            int b = in.read();
            counted(b < 0 ? 0 : 1);
            return b;
        }

        @Override
        public int read(byte[] b, int off, int len) throws IOException {
            return counted(in.read(b, off, len));
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
