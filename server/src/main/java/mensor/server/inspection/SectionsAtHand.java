package mensor.server.inspection;

import org.springframework.core.MethodParameter;
import org.springframework.http.MediaType;
import org.springframework.http.converter.HttpMessageConverter;
import org.springframework.http.server.ServerHttpRequest;
import org.springframework.http.server.ServerHttpResponse;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.servlet.mvc.method.annotation.ResponseBodyAdvice;

/** Leaves the cross-sections out of an answer where the request names them as those that the browser has. */
@ControllerAdvice
class SectionsAtHand implements ResponseBodyAdvice<Object> {
    static final String HEADER = "X-Sections";

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
        return body instanceof BenchView view ? view.unless(request.getHeaders().getFirst(HEADER)) : body;
    }
}
