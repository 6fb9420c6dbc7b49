package mensor.server.inspection;

import java.util.LinkedHashMap;
import java.util.Map;
import org.springframework.core.MethodParameter;
import org.springframework.http.MediaType;
import org.springframework.http.converter.HttpMessageConverter;
import org.springframework.http.server.ServerHttpRequest;
import org.springframework.http.server.ServerHttpResponse;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.servlet.mvc.method.annotation.ResponseBodyAdvice;

/** Answers with what changed only, where the request names the answer that the browser has. */
@ControllerAdvice
class BenchMemory implements ResponseBodyAdvice<Object> {
    static final String HEADER = "X-Bench";
    /** The answers kept: as many as benches that are open at once in a large shop. */
    private static final int MOST = 100;

    private final Map<String, BenchView> lately = new LinkedHashMap<>(16, 0.75f, true) {
        @Override
        protected boolean removeEldestEntry(Map.Entry<String, BenchView> eldest) {
            return size() > MOST;
        }
    };

    @Override
    public boolean supports(MethodParameter returns, Class<? extends HttpMessageConverter<?>> converter) {
        return returns.getParameterType() == BenchView.class;
    }

    @Override
    public Object beforeBodyWrite(
            Object body,
            MethodParameter returns,
            MediaType type,
            Class<? extends HttpMessageConverter<?>> converter,
            ServerHttpRequest request,
            ServerHttpResponse response) {
        if (!(body instanceof BenchView now)) {
            return body;
        }
        String tag = request.getHeaders().getFirst(HEADER);
        BenchView had;
        synchronized (lately) {
            had = tag == null ? null : lately.get(tag);
            lately.put(now.tag(), now);
        }
        return had != null && had.id().equals(now.id()) ? BenchChange.between(had, now) : now;
    }
}
