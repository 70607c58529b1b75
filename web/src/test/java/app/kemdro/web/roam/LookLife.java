package app.kemdro.web.roam;

import app.kemdro.core.layer.Stack;
import app.kemdro.core.look.LookEntry;
import app.kemdro.core.method.Technique;
import app.kemdro.core.plan.Mending;
import app.kemdro.core.plan.Plan;
import app.kemdro.web.parts.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jsoup.nodes.Entities;

/** What is pressed in Look. */
final class LookLife {
    private static final Pattern SAYS =
            Pattern.compile("/look/propose\\?.*?name=\"says\" value=\"([^\"]*)\"", Pattern.DOTALL);

    private final Visit visit;
    private final Questions questions;

    LookLife(Visit visit, Questions questions) {
        this.visit = visit;
        this.questions = questions;
    }

    /** Some presses by chance. */
    void live() {
        questions.asked("taken from the file");
        String page = visit.get(visit.at("look"));
        visit.plan().ifPresent(p -> {
            if (!page.contains("Ready " + Words.ready(p.ready()))) {
                visit.wrong("the page does not say what the plan says: ready " + Words.ready(p.ready()));
            }
        });
        for (String show : List.of("layers", "minutes", "risk", "bare")) {
            visit.found(visit.at("look?show=" + show));
        }
        int many = 2 + visit.dice().nextInt(6);
        for (int k = 0; k < many; k++) {
            pressLook();
        }
    }

    private void pressLook() {
        List<LookEntry> entries = visit.job().look().entries();
        Optional<LookEntry> entry =
                entries.isEmpty() ? Optional.empty() : Optional.of(visit.draw().one(entries));
        String zones =
                String.join(",", visit.draw().some(zoneIds(), 1 + visit.dice().nextInt(3)));
        switch (visit.dice().nextInt(13)) {
            case 0, 1 -> {
                Technique t = visit.draw().one(visit.on().trade().techniques());
                String where = String.join(
                        ",", visit.draw().some(t.zones(), 1 + visit.dice().nextInt(3)));
                visit.post(visit.at("look/add"), "zones", where, "technique", t.id());
            }
            case 2 -> entry.ifPresent(e -> visit.post(visit.at("look/remove"), "entry", e.id()));
            case 3 -> entry.ifPresent(e -> visit.post(visit.at("look/lift"), "entry", e.id(), "zones", zones));
            case 4 ->
                entry.ifPresent(e -> visit.post(
                        visit.at("look/coats"),
                        "entry",
                        e.id(),
                        "coats",
                        "" + visit.dice().nextInt(5)));
            case 5 ->
                entry.ifPresent(
                        e -> visit.on().trade().schoolsBeside(visit.on().trade().technique(e.techniqueId())).stream()
                                .findFirst()
                                .ifPresent(t ->
                                        visit.post(visit.at("look/school"), "entry", e.id(), "technique", t.id())));
            case 6 ->
                entry.ifPresent(e -> visit.post(
                        visit.at("look/coverage"),
                        "entry",
                        e.id(),
                        "coverage",
                        "" + 25 * visit.dice().nextInt(6)));
            case 7 -> entry.ifPresent(e -> visit.post(visit.at("look/sides"), "entry", e.id()));
            case 8 -> visit.post(visit.at("look/back"));
            case 9, 10 -> mend();
            case 11 -> propose();
            default -> fill();
        }
        questions.asked("after a press in Look");
        visit.found(visit.at("look?zones=" + zones));
        if (visit.chance(4)) {
            visit.get(visit.at("look/insteads?zones=" + zones));
        }
    }

    private List<String> zoneIds() {
        return visit.on().trade().body().zones().stream().map(z -> z.id()).toList();
    }

    private void mend() {
        Optional<Plan> plan = visit.plan();
        if (plan.isEmpty()) {
            return;
        }
        for (Map.Entry<String, Stack> e : plan.get().stacks().entrySet()) {
            for (int k = 0; k < e.getValue().layers().size(); k++) {
                if (e.getValue().layers().get(k).boundary().verdict().isFine()) {
                    continue;
                }
                List<Mending.Offer> offers = visit.on()
                        .plans()
                        .mending()
                        .offers(visit.job().look(), visit.job().brief(), e.getKey(), k);
                if (!offers.isEmpty()) {
                    long before = questions.failing();
                    String says = visit.draw().one(offers).says();
                    visit.post(visit.at("look/mend"), "zones", e.getKey(), "layer", "" + k, "mend", says);
                    visit.on().count("mends");
                    questions.offered(before, "the mend “" + says + "”");
                    return;
                }
            }
        }
    }

    private void propose() {
        Matcher m = SAYS.matcher(visit.get(visit.at("look")));
        List<String> says = new ArrayList<>();
        while (m.find()) {
            says.add(Entities.unescape(m.group(1)));
        }
        if (!says.isEmpty()) {
            boolean planned = visit.plan().isPresent();
            long before = questions.failing();
            String one = visit.draw().one(says);
            visit.post(visit.at("look/propose"), "says", one);
            visit.on().count("proposals");
            if (planned) {
                questions.offered(before, "the proposal “" + one + "”");
            }
        }
    }

    private void fill() {
        boolean planned = visit.plan().isPresent();
        long before = questions.failing();
        visit.post(visit.at("look/fill"));
        visit.on().count("fills");
        if (planned) {
            questions.offered(before, "covering all that is bare");
        }
    }
}
