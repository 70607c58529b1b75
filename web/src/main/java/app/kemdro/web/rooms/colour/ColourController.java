package app.kemdro.web.rooms.colour;

import app.kemdro.core.colour.Lab;
import app.kemdro.core.colour.Paint;
import app.kemdro.core.colour.Reflectance;
import app.kemdro.core.colour.Srgb;
import app.kemdro.core.hour.Wall;
import app.kemdro.core.look.LookEntry;
import app.kemdro.core.material.MaterialRole;
import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.sketch.Sketch;
import app.kemdro.web.parts.figure.FigureModel;
import app.kemdro.web.parts.figure.PaintedFigure;
import app.kemdro.web.parts.file.Files;
import app.kemdro.web.parts.json.Json;
import app.kemdro.web.parts.typed.TakeBack;
import app.kemdro.web.parts.words.Words;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.job.Jobs;
import app.kemdro.web.records.paint.Asked;
import app.kemdro.web.records.paint.Faces;
import app.kemdro.web.records.paint.KeptRecipe;
import app.kemdro.web.records.paint.KeptRecipes;
import app.kemdro.web.records.paint.PaintTable;
import app.kemdro.web.records.paint.Swatch;
import app.kemdro.web.records.paint.SwatchValues;
import app.kemdro.web.records.paint.Swatches;
import app.kemdro.web.records.plan.Plans;
import app.kemdro.web.records.reference.Reference;
import app.kemdro.web.records.reference.References;
import app.kemdro.web.rooms.Rooms;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The paint table of a job, and its face as a sketch in predicted colours. */
@Controller
class ColourController {
    private final Jobs jobs;
    private final Rooms rooms;
    private final Swatches swatches;
    private final References references;
    private final KeptRecipes recipes;
    private final Plans plans;
    private final Trade trade;
    private final Json json;
    private final Faces faces;

    ColourController(
            Jobs jobs,
            Plans plans,
            Rooms rooms,
            Swatches swatches,
            References references,
            KeptRecipes recipes,
            Faces faces,
            Trade trade,
            Json json) {
        this.references = references;
        this.faces = faces;
        this.plans = plans;
        this.jobs = jobs;
        this.rooms = rooms;
        this.swatches = swatches;
        this.recipes = recipes;
        this.trade = trade;
        this.json = json;
    }

    /** A paint on the shelf, over the white and the black half of its card. */
    record Chip(String name, String white, String black, boolean shimmers, String add, boolean taken) {}

    /** A colour that was marked on a reference picture. */
    record Picked(String hex, String says, String aim) {}

    /** A skin to choose. */
    record SkinChip(String id, String name, String hex, boolean on) {}

    /**
     * A mix kept with the job.
     *
     * @param gone whether one of its paints is no longer in the house
     */
    record Kept(long id, String name, String said, String forWhat, String hex, String take, boolean gone) {}

    /** An entry of the look that is painted. */
    record Painted(String id, String name) {}

    @GetMapping("/jobs/{id}/colour")
    String colour(
            @PathVariable long id,
            @RequestParam(defaultValue = "") String mix,
            @RequestParam(defaultValue = "skin") String on,
            @RequestParam(defaultValue = "1") int coats,
            @RequestParam(defaultValue = "") String aim,
            @RequestParam(defaultValue = "") String shadow,
            @RequestParam(defaultValue = "0") long light,
            @RequestParam(defaultValue = "0") long dark,
            Model model) {
        Job job = jobs.get(id);
        Asked asked = Asked.of(mix, on, coats, aim, shadow);
        Reflectance skin = faces.appearance().skin(job.performer().skin());
        List<Swatch> all = swatches.all();
        Optional<Plan> plan = rooms.open(model, job, "colour");
        Map<String, List<Sketch.Stage>> stages =
                plan.map(p -> faces.stages(job, p)).orElse(Map.of());
        List<Painted> painted = painted(job);
        Map<String, Reflectance> below = new LinkedHashMap<>();
        painted.forEach(e -> Sketch.below(e.id(), stages).ifPresent(r -> below.put(e.id(), r)));
        PaintTable table = new PaintTable(
                all,
                swatches,
                faces.appearance(),
                trade.materials(),
                job.brief().performer(),
                skin,
                below,
                asked);
        model.addAttribute("asked", asked);
        model.addAttribute("shelf", shelf(all, asked));
        model.addAttribute("grounds", table.groundChips());
        model.addAttribute("parts", table.parts());
        model.addAttribute("skins", skins(job));
        model.addAttribute("kept", kept(job, asked));
        model.addAttribute("painted", painted);
        model.addAttribute("picked", picked(id, asked));
        model.addAttribute(
                "below", painted.stream().filter(e -> below.containsKey(e.id())).toList());
        contrast(model, job, light, dark);
        table.mixed().ifPresent(m -> {
            model.addAttribute("strip", table.strip(m));
            model.addAttribute("sayings", table.says(m));
            model.addAttribute("looks", table.looks(m));
            model.addAttribute("lab", table.lab(m));
            model.addAttribute("apart", table.apart());
        });
        answer(model, "aim", () -> asked.aimed().map(table::nearest).ifPresent(n -> model.addAttribute("nearest", n)));
        answer(
                model,
                "shadow",
                () -> asked.cast().map(table::neutral).ifPresent(s -> model.addAttribute("neutral", s)));
        plan.ifPresent(p -> face(model, p, job, stages));
        return "rooms/colour/colour";
    }

    /** A colour that no paint can have, or that was typed wrong, is said beside its field. */
    private static void answer(Model model, String field, Runnable ask) {
        try {
            ask.run();
        } catch (IllegalArgumentException e) {
            model.addAttribute(field + "Wrong", e.getMessage());
        }
    }

    private Map<String, List<Chip>> shelf(List<Swatch> all, Asked asked) {
        Map<String, List<Chip>> shelf = new LinkedHashMap<>();
        for (Swatch swatch : all) {
            SwatchValues v = swatch.values();
            String family = trade.materials().has(v.family())
                    ? trade.materials().family(v.family()).name()
                    : v.family();
            Lab black = v.black() == null ? v.white() : v.black();
            shelf.computeIfAbsent(family, k -> new ArrayList<>())
                    .add(new Chip(
                            v.name(),
                            Srgb.of(v.white()).hex(),
                            Srgb.of(black).hex(),
                            v.shimmers(),
                            asked.adding(swatch.id(), 1).query(),
                            asked.mix().containsKey(swatch.id())));
        }
        return shelf;
    }

    private List<Picked> picked(long job, Asked asked) {
        return references.of(job).stream()
                .flatMap(r -> r.marks().stream().map(m -> picked(m, r.note(), asked)))
                .toList();
    }

    private static Picked picked(Reference.Mark mark, String picture, Asked asked) {
        String what = Stream.of(mark.note(), picture)
                .filter(s -> !s.isEmpty())
                .findFirst()
                .map(s -> ": " + s)
                .orElse("");
        return new Picked(
                mark.colour(),
                "Aim at " + mark.colour() + what,
                asked.aiming(mark.colour()).query());
    }

    private List<SkinChip> skins(Job job) {
        return faces.appearance().skins().entrySet().stream()
                .map(e -> new SkinChip(
                        e.getKey(),
                        e.getValue().name(),
                        e.getValue().hex(),
                        e.getKey().equals(job.performer().skin())))
                .toList();
    }

    private List<Kept> kept(Job job, Asked asked) {
        return recipes.of(job.id()).stream()
                .map(r -> {
                    Map<Long, Integer> mix = new LinkedHashMap<>();
                    r.parts().forEach(p -> swatches.named(p.paint()).ifPresent(s -> mix.put(s.id(), p.parts())));
                    Optional<Paint> paint = recipes.paint(r);
                    return new Kept(
                            r.id(),
                            r.name(),
                            r.said(),
                            job.look().entry(r.entry()).map(this::said).orElse(""),
                            paint.map(Paint::masstone).map(PaintTable::hex).orElse("#ffffff"),
                            asked.mixing(mix).query(),
                            paint.isEmpty());
                })
                .toList();
    }

    private String said(LookEntry entry) {
        return (trade.has(entry.techniqueId())
                        ? trade.technique(entry.techniqueId()).name()
                        : "") + ", " + trade.body().say(entry.zones());
    }

    /** Entries of the look in which paint is laid. */
    private List<Painted> painted(Job job) {
        return job.look().entries().stream()
                .filter(e -> trade.has(e.techniqueId()))
                .filter(e -> trade.technique(e.techniqueId()).steps().stream()
                        .anyMatch(s -> s.material() != null
                                && trade.materials().family(s.material()).is(MaterialRole.PAINT)))
                .map(e -> new Painted(e.id(), said(e)))
                .toList();
    }

    /** What a zone looks like from a minute on. */
    record Turn(double minute, String hex, String layer, boolean claimed) {}

    private void contrast(Model model, Job job, long light, long dark) {
        List<KeptRecipe> all = recipes.of(job.id());
        Optional<Paint> one =
                all.stream().filter(r -> r.id() == light).findFirst().flatMap(recipes::paint);
        Optional<Paint> other =
                all.stream().filter(r -> r.id() == dark).findFirst().flatMap(recipes::paint);
        model.addAttribute("light", light);
        model.addAttribute("dark", dark);
        if (one.isPresent() && other.isPresent()) {
            model.addAttribute("contrast", PaintTable.contrast(one.get(), other.get(), faces.appearance()));
        }
    }

    private void face(Model model, Plan plan, Job job, Map<String, List<Sketch.Stage>> zones) {
        Map<String, List<Turn>> turns = new LinkedHashMap<>();
        zones.forEach((zone, stages) -> turns.put(
                zone,
                stages.stream()
                        .map(s -> new Turn(
                                Math.round(s.second() / 6.0) / 10.0,
                                PaintTable.hex(s.colour()),
                                s.layer(),
                                s.claimed()))
                        .toList()));
        model.addAttribute(
                "figure",
                json.text(FigureModel.of(
                        trade.body(), Set.of(), zone -> new FigureModel.Tint(faces.finished(job, zone, zones), ""))));
        model.addAttribute("turns", json.text(turns));
        model.addAttribute("minutes", Math.max(1, plan.schedule().ready() / 60));
        model.addAttribute("readyAt", Words.hour(plan.ready()));
        model.addAttribute("chairIn", Wall.instant(plan.chairIn()).toEpochMilli());
        model.addAttribute(
                "shimmering", turns.values().stream().anyMatch(t -> t.stream().anyMatch(x -> !x.claimed())));
    }

    /** The finished head as a drawing. */
    @GetMapping("/jobs/{id}/figure.svg")
    ResponseEntity<byte[]> figure(@PathVariable long id, @RequestParam(defaultValue = "front") String view) {
        Job job = jobs.get(id);
        String shown = PaintedFigure.VIEWS.contains(view) ? view : "front";
        Map<String, List<Sketch.Stage>> stages =
                plans.of(job).plan().map(p -> faces.stages(job, p)).orElse(Map.of());
        String drawn = PaintedFigure.draw(shown, job.title() + ", " + shown, zone -> faces.finished(job, zone, stages));
        return Files.kept(Files.named(job.title()) + "-" + shown + ".svg", "image/svg+xml", drawn);
    }

    @PostMapping("/jobs/{id}/colour/skin")
    String skin(
            @PathVariable long id,
            @RequestParam String skin,
            @RequestParam(defaultValue = "") String back,
            RedirectAttributes after) {
        if (faces.appearance().skins().containsKey(skin)) {
            String before = jobs.get(id).performer().skin();
            jobs.change(id, j -> j.performer().onSkin(skin));
            after.addFlashAttribute(
                    TakeBack.OFFER,
                    TakeBack.of(
                            "Take back: another skin",
                            "/jobs/" + id + "/colour/skin",
                            Map.of("skin", before, "back", back)));
        } else {
            after.addFlashAttribute(Rooms.CHANGE, "That skin is not known. Nothing was changed.");
        }
        return back(id, back);
    }

    @PostMapping("/jobs/{id}/colour/recipes")
    String keep(
            @PathVariable long id,
            @RequestParam(defaultValue = "") String name,
            @RequestParam(defaultValue = "") String entry,
            @RequestParam(defaultValue = "") String mix,
            @RequestParam(defaultValue = "") String back,
            RedirectAttributes after) {
        Job job = jobs.get(id);
        Asked asked = Asked.of(mix, "", 1, "", "");
        List<KeptRecipe.Part> parts = new ArrayList<>();
        swatches.all().stream()
                .filter(s -> asked.mix().containsKey(s.id()))
                .forEach(
                        s -> parts.add(new KeptRecipe.Part(s.name(), asked.mix().get(s.id()))));
        String called = name.strip();
        String say;
        if (parts.isEmpty()) {
            say = "There is no mix to keep yet: press a paint. Nothing was changed.";
        } else if (called.isEmpty() || called.length() > 80) {
            say = "Give it a name of up to 80 letters. Nothing was changed.";
        } else if (recipes.of(id).size() >= KeptRecipes.MOST) {
            say = "There are " + KeptRecipes.MOST + " recipes already. Remove one first.";
        } else {
            recipes.keep(
                    new KeptRecipe(job.id(), called, job.look().entry(entry).isPresent() ? entry : "", parts));
            say = "“" + called + "” is kept.";
        }
        after.addFlashAttribute(Rooms.CHANGE, say);
        return back(id, back);
    }

    @PostMapping("/jobs/{id}/colour/recipes/{recipe}/remove")
    String remove(
            @PathVariable long id,
            @PathVariable long recipe,
            @RequestParam(defaultValue = "") String back,
            RedirectAttributes after) {
        recipes.of(id).stream()
                .filter(r -> r.id() == recipe)
                .findFirst()
                .ifPresent(r -> after.addFlashAttribute(
                        TakeBack.OFFER,
                        TakeBack.of(
                                "Take back: recipe “" + r.name() + "” removed",
                                "/jobs/" + id + "/colour/recipes",
                                Map.of(
                                        "name", r.name(),
                                        "entry", r.entry(),
                                        "back", back,
                                        "mix", mix(r)))));
        recipes.remove(id, recipe);
        after.addFlashAttribute(Rooms.CHANGE, "The recipe is removed.");
        return back(id, back);
    }

    /** Its paints that are in the house, as addresses have a mix. */
    private String mix(KeptRecipe recipe) {
        return recipe.parts().stream()
                .flatMap(p -> swatches.named(p.paint()).map(s -> s.id() + ":" + p.parts()).stream())
                .collect(Collectors.joining(","));
    }

    /** Back to what was on the table. */
    private static String back(long id, String query) {
        return "redirect:/jobs/" + id + "/colour" + (query.matches("\\?[\\w=&:,.%+-]*") ? query : "");
    }
}
