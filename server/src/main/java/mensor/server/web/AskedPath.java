package mensor.server.web;

import jakarta.servlet.http.HttpServletRequest;
import java.util.stream.Collectors;
import org.springframework.http.server.PathContainer;
import org.springframework.http.server.PathContainer.PathSegment;
import org.springframework.http.server.RequestPath;

/** The path of a request as the handlers are found by it: decoded, without parameters; what is refused by its raw address is asked for by another. */
final class AskedPath {
    private AskedPath() {}

    static String of(HttpServletRequest request) {
        PathContainer path = RequestPath.parse(request.getRequestURI(), request.getContextPath())
                .pathWithinApplication();
        return path.elements().stream()
                .map(e -> e instanceof PathSegment s ? s.valueToMatch() : e.value())
                .collect(Collectors.joining());
    }
}
