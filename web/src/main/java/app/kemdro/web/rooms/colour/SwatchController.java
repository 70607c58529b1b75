package app.kemdro.web.rooms.colour;

import app.kemdro.core.colour.Srgb;
import app.kemdro.core.material.Material;
import app.kemdro.core.material.MaterialRole;
import app.kemdro.core.method.Trade;
import app.kemdro.web.parts.file.Files;
import app.kemdro.web.parts.typed.TakeBack;
import app.kemdro.web.records.paint.PaintTable;
import app.kemdro.web.records.paint.Swatch;
import app.kemdro.web.records.paint.SwatchFiles;
import app.kemdro.web.records.paint.SwatchReading;
import app.kemdro.web.records.paint.SwatchValues;
import app.kemdro.web.records.paint.Swatches;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The paints of the house: swatches typed, picked from a picture of a card, or taken from a file. */
@Controller
class SwatchController {
    private final Swatches swatches;
    private final Trade trade;

    SwatchController(Swatches swatches, Trade trade) {
        this.swatches = swatches;
        this.trade = trade;
    }

    /** A swatch as a line of the list. */
    record Line(
            long id,
            String name,
            String family,
            String white,
            String black,
            String lab,
            String grams,
            boolean shimmers) {}

    @GetMapping("/house/paints")
    String paints(@RequestParam(defaultValue = "") String change, Model model) {
        model.addAttribute("lines", swatches.all().stream().map(this::line).toList());
        if (!model.containsAttribute("typed")) {
            model.addAttribute("typed", typed(change));
            model.addAttribute("wrong", Map.of());
        }
        model.addAttribute("families", families());
        return "rooms/colour/paints";
    }

    private Map<String, String> typed(String change) {
        Map<String, String> typed = new LinkedHashMap<>();
        SwatchReading.COLUMNS.forEach(c -> typed.put(c, ""));
        typed.put("grams_per_m2", "20");
        typed.put("family", "cream");
        swatches.named(change).ifPresent(s -> typed.putAll(SwatchReading.written(s.values())));
        return typed;
    }

    private List<Material> families() {
        return trade.materials().all().stream()
                .filter(m -> m.is(MaterialRole.PAINT))
                .sorted(Comparator.comparing(Material::name))
                .toList();
    }

    private Line line(Swatch swatch) {
        SwatchValues v = swatch.values();
        return new Line(
                swatch.id(),
                v.name(),
                trade.materials().has(v.family())
                        ? trade.materials().family(v.family()).name()
                        : v.family(),
                Srgb.of(v.white()).hex(),
                v.black() == null ? "" : Srgb.of(v.black()).hex(),
                SwatchReading.lab(v.white()),
                PaintTable.one(v.grams()),
                v.shimmers());
    }

    @PostMapping("/house/paints")
    String keep(@RequestParam Map<String, String> typed, RedirectAttributes after) {
        Map<String, String> wrong = swatches.keep(typed);
        if (wrong.isEmpty()) {
            after.addFlashAttribute("says", "“" + typed.get("name").strip() + "” is kept.");
        } else {
            Map<String, String> back = new LinkedHashMap<>();
            SwatchReading.COLUMNS.forEach(c -> back.put(c, typed.getOrDefault(c, "")));
            after.addFlashAttribute("typed", back);
            after.addFlashAttribute("wrong", wrong);
            after.addFlashAttribute("says", "Nothing was kept yet; see below what is wrong.");
        }
        return "redirect:/house/paints";
    }

    @PostMapping("/house/paints/{id}/remove")
    String remove(@PathVariable long id, RedirectAttributes after) {
        swatches.all().stream()
                .filter(s -> s.id() == id)
                .findFirst()
                .ifPresent(s -> after.addFlashAttribute(
                        TakeBack.OFFER,
                        TakeBack.of(
                                "Take back: “" + s.name() + "” off the table",
                                "/house/paints",
                                SwatchReading.written(s.values()))));
        swatches.remove(id);
        after.addFlashAttribute("says", "The paint is taken off the table. Recipes that use it say so.");
        return "redirect:/house/paints";
    }

    @PostMapping("/house/paints/file")
    String file(
            @RequestParam MultipartFile file,
            @RequestParam(defaultValue = "cream") String family,
            RedirectAttributes after)
            throws IOException {
        String text = new String(file.getBytes(), StandardCharsets.UTF_8);
        String name = String.valueOf(file.getOriginalFilename());
        boolean known = trade.materials().has(family)
                && trade.materials().family(family).is(MaterialRole.PAINT);
        List<String> wrong = text.isBlank()
                ? List.of("The file is empty.")
                : !known
                        ? List.of("'" + family + "' is no family of paints.")
                        : name.endsWith(".gpl")
                                        || text.lines()
                                                .findFirst()
                                                .orElse("")
                                                .strip()
                                                .endsWith("Palette")
                                ? swatches.takePalette(text, family)
                                : swatches.takeCsv(text);
        after.addFlashAttribute("says", wrong.isEmpty() ? "The file is taken." : "Nothing was taken from the file.");
        after.addFlashAttribute("complaints", wrong);
        return "redirect:/house/paints";
    }

    @GetMapping("/house/paints.csv")
    ResponseEntity<byte[]> csv() {
        return Files.kept("paints.csv", "text/csv", SwatchFiles.csv(values()));
    }

    @GetMapping("/house/paints.gpl")
    ResponseEntity<byte[]> palette() {
        return Files.kept("paints.gpl", "text/plain", SwatchFiles.palette("Paints of the house", values()));
    }

    private List<SwatchValues> values() {
        return swatches.all().stream().map(Swatch::values).toList();
    }
}
