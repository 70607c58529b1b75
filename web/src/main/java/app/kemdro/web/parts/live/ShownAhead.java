package app.kemdro.web.parts.live;

import app.kemdro.web.parts.ahead.Ahead;
import app.kemdro.web.parts.habit.Reader;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.io.IOException;
import java.time.Duration;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.http.MediaType;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.stereotype.Component;
import org.springframework.validation.BindingResult;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.View;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import org.springframework.web.servlet.support.RequestContextUtils;
import org.springframework.web.util.ContentCachingResponseWrapper;
import org.thymeleaf.spring6.view.ThymeleafViewResolver;

/**
 * Rooms that are written ahead. While somebody points at a button, the room that its press would bring is written and kept, for that
 * session, until the next one is; a press that comes while it is being written waits for it. A room says what its model says: where the
 * press brings the same, by value, what was written is sent; where anything in it is another, the room is written as if nothing had been.
 */
@Component
public class ShownAhead implements HandlerInterceptor, WebMvcConfigurer {
    private static final int SESSIONS = 60;
    private static final Duration MEANT = Duration.ofMinutes(1);
    private static final MediaType PAGE = MediaType.parseMediaType("text/html;charset=UTF-8");

    /** How long a press waits at most for what is being written, milliseconds. */
    private static final long WAITS = 1000;

    private static final String ASKED = ShownAhead.class.getName();

    private final Cache<String, Pointed> rooms =
            Caffeine.newBuilder().maximumSize(SESSIONS).expireAfterWrite(MEANT).build();
    private final ObjectProvider<ThymeleafViewResolver> views;

    ShownAhead(ObjectProvider<ThymeleafViewResolver> views) {
        this.views = views;
    }

    /** Something in a model that is no value itself. */
    public interface Said {
        /** All that a room can say of it, as a value. */
        Object shown();
    }

    /** A room as it was written, and all that it was written from. */
    private record Written(Object from, byte[] room) {}

    /** A press that is pointed at, by what it sends, and the room it would bring; none where it was refused or goes elsewhere. */
    private record Pointed(Object sent, CompletableFuture<Optional<Written>> room) {
        /** What is written of it, waited for while it is being written: to write it twice at once would take longer. */
        Optional<Written> written() {
            try {
                return room.get(WAITS, TimeUnit.MILLISECONDS);
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
                return Optional.empty();
            } catch (ExecutionException | TimeoutException e) {
                return Optional.empty();
            }
        }
    }

    /** After everybody else has added to the model. */
    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(this).order(Integer.MIN_VALUE + 1);
    }

    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler) {
        // nobody else is asked for their session: what is the same for everybody passes here too
        HttpSession session = Ahead.isAsked() ? request.getSession(false) : null;
        if (session != null) {
            Pointed pointed = new Pointed(sent(request), new CompletableFuture<>());
            request.setAttribute(ASKED, pointed);
            rooms.put(session.getId(), pointed);
        }
        return true;
    }

    @Override
    public void postHandle(
            HttpServletRequest request, HttpServletResponse response, Object handler, @Nullable ModelAndView answer)
            throws Exception {
        if (answer == null || !Ahead.isRoom(request, response, answer)) {
            return;
        }
        if (Ahead.isAsked()) {
            if (request.getAttribute(ASKED) instanceof Pointed pointed) {
                pointed.room.complete(Optional.of(new Written(from(answer), written(answer, request, response))));
            }
            answer.clear();
            response.setStatus(HttpServletResponse.SC_NO_CONTENT);
            return;
        }
        HttpSession session = request.getSession(false);
        Pointed pointed = session == null ? null : rooms.getIfPresent(session.getId());
        if (pointed != null && pointed.sent.equals(sent(request))) {
            Optional<Written> known = pointed.written().filter(w -> w.from.equals(from(answer)));
            if (known.isPresent()) {
                send(known.get().room, response);
                answer.clear();
            }
        }
    }

    @Override
    public void afterCompletion(
            HttpServletRequest request, HttpServletResponse response, Object handler, @Nullable Exception failed) {
        if (request.getAttribute(ASKED) instanceof Pointed pointed) {
            pointed.room.complete(Optional.empty());
        }
    }

    private byte[] written(ModelAndView answer, HttpServletRequest request, HttpServletResponse response)
            throws Exception {
        View view = views.getObject()
                .resolveViewName(String.valueOf(answer.getViewName()), RequestContextUtils.getLocale(request));
        if (view == null) {
            throw new Ahead.Enough();
        }
        ContentCachingResponseWrapper kept = new ContentCachingResponseWrapper(response);
        view.render(answer.getModel(), request, kept);
        return kept.getContentAsByteArray();
    }

    private static void send(byte[] room, HttpServletResponse response) throws IOException {
        response.setContentType(PAGE.toString());
        response.setHeader("Server-Timing", "ahead");
        response.setContentLength(room.length);
        response.getOutputStream().write(room);
    }

    /** Where a press is sent and with what. */
    private static Object sent(HttpServletRequest request) {
        Map<String, List<String>> fields = new HashMap<>();
        request.getParameterMap().forEach((name, values) -> fields.put(name, List.of(values)));
        fields.remove("_csrf");
        return List.of(request.getMethod(), request.getRequestURI(), fields);
    }

    /** All that a room is written from: its template, what it is told, who reads it and how. */
    private static Object from(ModelAndView answer) {
        Map<String, Object> told = new HashMap<>();
        answer.getModel().forEach((name, value) -> {
            if (!(value instanceof BindingResult)) {
                told.put(name, value instanceof Said said ? said.shown() : value);
            }
        });
        return List.of(String.valueOf(answer.getViewName()), told, Reader.now(), roles());
    }

    private static Collection<?> roles() {
        Authentication who = SecurityContextHolder.getContext().getAuthentication();
        return who == null ? List.of() : List.copyOf(who.getAuthorities());
    }
}
