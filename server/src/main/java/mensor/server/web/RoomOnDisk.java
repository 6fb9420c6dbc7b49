package mensor.server.web;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.file.FileStore;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import java.util.Set;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.core.env.Environment;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.util.unit.DataSize;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Nothing is stored where the disk has little room left or can only be read; reading goes on. The embedded database would close
 * itself at a full disk, so it is not let run into it. Where it did all the same, that is said, and it opens again with room.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 1)
class RoomOnDisk extends OncePerRequestFilter {
    private static final Logger LOG = LoggerFactory.getLogger(RoomOnDisk.class);
    private static final Set<String> READING = Set.of("GET", "HEAD", "OPTIONS");

    private final Environment environment;

    RoomOnDisk(Environment environment) {
        this.environment = environment;
    }

    /** Why nothing can be stored now. */
    private Optional<String> fault() throws IOException {
        Path data = Path.of(environment.getRequiredProperty("mensor.data"));
        if (!Files.isDirectory(data)) {
            return Optional.empty(); // kept in memory
        }
        FileStore disk = Files.getFileStore(data);
        if (disk.isReadOnly()) {
            return Optional.of(DiskFault.READ_ONLY);
        }
        long least = environment
                .getRequiredProperty("mensor.least-room", DataSize.class)
                .toBytes();
        return disk.getUsableSpace() < least ? Optional.of(DiskFault.FULL) : Optional.empty();
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        String path = AskedPath.of(request);
        if (path.startsWith("/api/") && !path.equals("/api/session") && !READING.contains(request.getMethod())) {
            Optional<String> fault = fault();
            if (fault.isPresent()) {
                LOG.error("not stored: {}", fault.get());
                Security.problem(response, HttpStatus.INSUFFICIENT_STORAGE, fault.get());
                return;
            }
        }
        try {
            chain.doFilter(request, response);
        } catch (RuntimeException | ServletException e) { // met before any page of ours: who is it that asks?
            Optional<String> fault = DiskFault.of(e);
            if (fault.isEmpty() || response.isCommitted()) {
                throw e;
            }
            LOG.error("not answered: {}", fault.get());
            Security.problem(response, HttpStatus.INSUFFICIENT_STORAGE, fault.get());
        }
    }
}
