package app.kemdro.web.parts.habit;

import org.jspecify.annotations.Nullable;
import org.springframework.core.MethodParameter;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.converter.HttpMessageConverter;
import org.springframework.http.server.ServerHttpRequest;
import org.springframework.http.server.ServerHttpResponse;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.servlet.mvc.method.annotation.ResponseBodyAdvice;
import tools.jackson.databind.json.JsonMapper;

/** What scripts of a page are answered is said by the reader's habit too; files that are kept are not: other programs read them. */
@ControllerAdvice
class SaidBodies implements ResponseBodyAdvice<Object> {
    private final JsonMapper mapper;

    SaidBodies(JsonMapper mapper) {
        this.mapper = mapper;
    }

    @Override
    public boolean supports(MethodParameter method, Class<? extends HttpMessageConverter<?>> converter) {
        return !Reader.now().equals(Reader.STANDARD);
    }

    @Override
    public @Nullable Object beforeBodyWrite(
            @Nullable Object body,
            MethodParameter method,
            MediaType type,
            Class<? extends HttpMessageConverter<?>> converter,
            ServerHttpRequest request,
            ServerHttpResponse response) {
        if (body == null
                || body instanceof byte[]
                || response.getHeaders().containsHeader(HttpHeaders.CONTENT_DISPOSITION)
                || !type.isCompatibleWith(MediaType.APPLICATION_JSON)) {
            return body;
        }
        return body instanceof String text
                ? Reader.now().said(text)
                : mapper.readTree(Reader.now().said(mapper.writeValueAsString(body)));
    }
}
