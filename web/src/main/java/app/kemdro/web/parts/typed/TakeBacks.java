package app.kemdro.web.parts.typed;

import app.kemdro.core.habit.Unit;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.io.Serializable;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.atomic.AtomicInteger;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import org.springframework.web.servlet.support.RequestContextUtils;

/**
 * Whoever changed something can take it back on the page where they did, until they change something else there or sign out. It stays with
 * their session: another's change is not theirs to take back, and nothing of it is stored.
 */
@Component
public class TakeBacks implements HandlerInterceptor, WebMvcConfigurer {
    private static final String KEPT = "app.kemdro.takeBacks";
    private static final String REDIRECT = "redirect:";
    private static final int PAGES = 20;
    private static final int NAMED = 2;
    private static final int LONGEST = 40;

    /** Counts how often somebody was forgotten: what was offered before then might bring them back. */
    private final AtomicInteger forgettings = new AtomicInteger();

    private final Typed typed;

    TakeBacks(Typed typed) {
        this.typed = typed;
    }

    /** What a session keeps, by page. */
    private record Kept(int forgettings, TakeBack back) implements Serializable {}

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(this);
    }

    /** Nothing that was offered until now is offered any more. */
    public void forget() {
        forgettings.incrementAndGet();
    }

    @Override
    public void postHandle(
            HttpServletRequest request, HttpServletResponse response, Object handler, @Nullable ModelAndView answer) {
        if (answer == null || answer.getViewName() == null) {
            return;
        }
        String view = answer.getViewName();
        if (view.startsWith(REDIRECT)) {
            String page = path(view.substring(REDIRECT.length()));
            if (!WithFields.bringsFiles(request) && request.getParameter(TakeBack.PRESS) != null) {
                keep(request, page, null);
            }
            if (RequestContextUtils.getOutputFlashMap(request).remove(TakeBack.OFFER) instanceof TakeBack offer) {
                keep(request, page, offer);
            }
        } else {
            at(request)
                    .ifPresent(back ->
                            answer.addObject("takeBack", back).addObject("takeBackFields", typed.text(back.fields())));
        }
    }

    /** Of an address, whether it is whole or not, what pages are kept by. */
    private static String path(String address) {
        return address.replaceFirst("^https?://[^/]*", "").replaceFirst("[?#;].*", "");
    }

    private Optional<TakeBack> at(HttpServletRequest request) {
        HttpSession session = request.getSession(false);
        return session != null && session.getAttribute(KEPT) instanceof Map<?, ?> all
                ? Optional.ofNullable(all.get(path(request.getRequestURI())))
                        .map(Kept.class::cast)
                        .filter(k -> k.forgettings() == forgettings.get())
                        .map(Kept::back)
                : Optional.empty();
    }

    private void keep(HttpServletRequest request, String page, @Nullable TakeBack back) {
        HttpSession session = request.getSession();
        LinkedHashMap<String, Kept> all = new LinkedHashMap<>();
        if (session.getAttribute(KEPT) instanceof Map<?, ?> known) {
            known.forEach((at, kept) -> all.put((String) at, (Kept) kept));
        }
        all.remove(page);
        if (back != null) {
            all.put(page, new Kept(forgettings.get(), back));
        }
        if (all.size() > PAGES) {
            all.remove(all.keySet().iterator().next());
        }
        session.setAttribute(KEPT, all);
    }

    /** Offers what stood in a form before, where another stands there now. */
    void offer(
            HttpServletRequest request,
            String page,
            StandingForm form,
            Map<String, List<String>> before,
            Map<String, List<String>> now,
            String was) {
        Set<String> changed = new LinkedHashSet<>();
        Set<String> all = new LinkedHashSet<>(before.keySet());
        all.addAll(now.keySet());
        for (String field : all) {
            if (!before.getOrDefault(field, List.of()).equals(now.getOrDefault(field, List.of()))) {
                changed.add(Merge.group(field));
            }
        }
        if (changed.isEmpty()) {
            return;
        }
        Map<String, List<String>> fields = new LinkedHashMap<>(before);
        fields.put(Typed.WAS, List.of(was));
        String says = "Take back: "
                + String.join(
                        "; ",
                        changed.stream()
                                .limit(NAMED)
                                .map(g -> says(form, g, before.get(g)))
                                .toList());
        int more = changed.size() - NAMED;
        keep(
                request,
                path(page),
                new TakeBack(more > 0 ? says + "; and " + more + " more" : says, request.getRequestURI(), fields));
    }

    /** "Temperature to 21 °C" of a field called "Temperature, °C"; of what has no short value only what it is called. */
    private static String says(StandingForm form, String group, @Nullable List<String> before) {
        String called = form.called(group);
        int cut = called.lastIndexOf(", ");
        Optional<Unit> unit = cut < 0 ? Optional.empty() : Unit.of(called.substring(cut + 2));
        String name = unit.isPresent() ? called.substring(0, cut) : called;
        String value = before == null || form.sets().contains(group) ? "" : form.said(group, before);
        if (value.isEmpty() || value.length() > LONGEST) {
            return name;
        }
        return name + " to "
                + (value.equals("–")
                        ? "nothing"
                        : value + unit.map(u -> " " + u.symbol()).orElse(""));
    }
}
