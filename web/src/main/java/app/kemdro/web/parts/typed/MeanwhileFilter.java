package app.kemdro.web.parts.typed;

import app.kemdro.web.parts.ahead.Ahead;
import app.kemdro.web.parts.typed.StandingForm.Sent;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.locks.ReentrantLock;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.http.HttpHeaders;
import org.springframework.http.server.PathContainer;
import org.springframework.stereotype.Component;
import org.springframework.util.function.SingletonSupplier;
import org.springframework.web.filter.OncePerRequestFilter;
import org.springframework.web.util.pattern.PathPattern;
import org.springframework.web.util.pattern.PathPatternParser;

/**
 * Nobody overwrites what another has changed since a form was opened. A room gets the form with both changes in it; where both changed
 * the same, they are shown side by side, and what was typed stays. One job is changed by one press at a time. What is only
 * worked out ahead changes nothing and waits for nobody.
 */
@Component
class MeanwhileFilter extends OncePerRequestFilter {
    /** What only others changed, in words, for the room's answer. */
    static final String OTHERS = "app.kemdro.meanwhile";

    /** What clashes; no room takes such a form. */
    static final String SHOWN = "app.kemdro.clashes";

    private static final String MINE = "_mine";
    private static final String TAKE = "_take.";

    /** Presses in the chair and while it comes off are taken in by their own rules, and quickly. */
    private static final Pattern CHANGES = Pattern.compile("(/jobs/\\d+)/(?!chair|strike|floor).*");

    private static final int LOCKS = 64;

    /** Filters are made before everything else; what they need of the house is asked for when somebody comes. */
    private final SingletonSupplier<List<Known>> forms;

    private final Typed typed;
    private final SingletonSupplier<TakeBacks> backs;
    private final List<ReentrantLock> turns =
            IntStream.range(0, LOCKS).mapToObj(k -> new ReentrantLock(true)).toList();

    private record Known(PathPattern at, StandingForm form) {}

    MeanwhileFilter(ObjectProvider<StandingForm> forms, Typed typed, ObjectProvider<TakeBacks> backs) {
        this.typed = typed;
        this.backs = SingletonSupplier.of(backs::getObject);
        this.forms = SingletonSupplier.of(() -> forms.orderedStream()
                .map(f -> new Known(PathPatternParser.defaultInstance.parse(f.at()), f))
                .toList());
    }

    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        return !request.getMethod().equals("POST") || Ahead.isAsked(request);
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        String path = request.getRequestURI().substring(request.getContextPath().length());
        PathContainer parsed = PathContainer.parsePath(path);
        Optional<Known> known =
                forms.obtain().stream().filter(f -> f.at().matches(parsed)).findFirst();
        Matcher job = CHANGES.matcher(path);
        if (known.isEmpty() && !job.matches()) {
            chain.doFilter(request, response);
            return;
        }
        String of = job.matches() ? job.group(1) : path;
        ReentrantLock turn = turns.get(Math.floorMod(of.hashCode(), LOCKS));
        turn.lock();
        try {
            if (known.isPresent()) {
                PathPattern.PathMatchInfo match = known.get().at().matchAndExtract(parsed);
                kept(known.get().form(), match == null ? Map.of() : match.getUriVariables(), request, response, chain);
            } else {
                chain.doFilter(request, response);
            }
        } finally {
            turn.unlock();
        }
    }

    private void kept(
            StandingForm form,
            Map<String, String> path,
            HttpServletRequest request,
            HttpServletResponse response,
            FilterChain chain)
            throws ServletException, IOException {
        Map<String, List<String>> was = typed.read(request.getParameter(Typed.WAS));
        Sent sent = new Sent(path, mine(request, was));
        Optional<Map<String, List<String>>> now = form.now(sent);
        if (now.isEmpty()) {
            chain.doFilter(request, response);
        } else if (request.getParameter(Typed.WAS) == null) {
            chain.doFilter(request, response);
            offer(form, sent, now.get(), request, response);
        } else {
            merged(form, sent, was, now.get(), request, response, chain);
            offer(form, sent, now.get(), request, response);
        }
    }

    /** What was changed can be taken back by whoever changed it. */
    private void offer(
            StandingForm form,
            Sent sent,
            Map<String, List<String>> before,
            HttpServletRequest request,
            HttpServletResponse response) {
        String page = response.getHeader(HttpHeaders.LOCATION);
        if (page != null) {
            form.now(sent)
                    .ifPresent(after -> backs.obtain().offer(request, page, form, before, after, typed.text(after)));
        }
    }

    private void merged(
            StandingForm form,
            Sent sent,
            Map<String, List<String>> was,
            Map<String, List<String>> now,
            HttpServletRequest request,
            HttpServletResponse response,
            FilterChain chain)
            throws ServletException, IOException {
        Merge merge = Merge.of(was, sent.typed(), now, form.sets());
        if (!merge.clashes().isEmpty()) {
            request.setAttribute(
                    SHOWN,
                    new MeanwhilePage.Shown(
                            request.getRequestURI(),
                            form.page(sent),
                            typed.text(now),
                            typed.text(merge.fields()),
                            merge.clashes().stream()
                                    .map(c -> new MeanwhilePage.Clash(
                                            TAKE + c, form.called(c), said(form, c, sent.typed()), said(form, c, now)))
                                    .toList()));
            chain.doFilter(request, response);
            return;
        }
        if (!merge.others().isEmpty()) {
            request.setAttribute(
                    OTHERS,
                    "Changed on another screen meanwhile, and kept: "
                            + String.join(
                                    ", ",
                                    merge.others().stream().map(form::called).toList()) + ".");
        }
        chain.doFilter(both(request, merge.fields(), typed.text(now)), response);
    }

    private static String said(StandingForm form, String group, Map<String, List<String>> fields) {
        return form.said(
                group,
                Merge.part(fields, group).values().stream()
                        .flatMap(List::stream)
                        .toList());
    }

    /** What was typed; where two changes were shown side by side, as it was chosen there. */
    private Map<String, List<String>> mine(HttpServletRequest request, Map<String, List<String>> was) {
        String text = request.getParameter(MINE);
        if (text == null) {
            return Typed.sent(request.getParameterMap());
        }
        Map<String, List<String>> mine = new LinkedHashMap<>(typed.read(text));
        request.getParameterMap().forEach((name, values) -> {
            if (name.startsWith(TAKE) && values[0].equals(MeanwhilePage.NOW)) {
                String group = name.substring(TAKE.length());
                mine.keySet().removeIf(f -> Merge.group(f).equals(group));
                was.forEach((field, stands) -> {
                    if (Merge.group(field).equals(group)) {
                        mine.put(field, stands);
                    }
                });
            }
        });
        return mine;
    }

    /** The request with both changes in its fields. */
    private static HttpServletRequest both(HttpServletRequest request, Map<String, List<String>> fields, String now) {
        Map<String, String[]> all = new LinkedHashMap<>();
        request.getParameterMap().forEach((name, values) -> {
            if (name.startsWith("_")) {
                all.put(name, values);
            }
        });
        fields.forEach((name, values) -> {
            if (!values.isEmpty()) {
                all.put(name, values.toArray(String[]::new));
            }
        });
        all.put(Typed.WAS, new String[] {now});
        return new WithFields(request, all);
    }
}
