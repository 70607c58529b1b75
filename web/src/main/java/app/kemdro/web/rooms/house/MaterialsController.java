package app.kemdro.web.rooms.house;

import app.kemdro.core.material.Bulk;
import app.kemdro.core.material.Film;
import app.kemdro.core.material.Material;
import app.kemdro.core.material.Melt;
import app.kemdro.core.material.Setting;
import app.kemdro.core.method.Trade;
import app.kemdro.web.parts.words.Glossary;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** What the trade knows: families of materials, and words. */
@Controller
class MaterialsController {
    private final Trade trade;
    private final Glossary glossary;

    MaterialsController(Trade trade, Glossary glossary) {
        this.trade = trade;
        this.glossary = glossary;
    }

    /** A family of materials as it is said. */
    record Family(Material material, String where, String sets, List<String> removedBy) {}

    @GetMapping("/house/materials")
    String materials(@RequestParam(defaultValue = "") String q, Model model) {
        String wanted = q.strip().toLowerCase(Locale.ROOT);
        Map<String, List<Family>> byKind = new LinkedHashMap<>();
        trade.materials().all().stream()
                .filter(m -> (m.name() + " " + m.kind() + " " + m.because())
                        .toLowerCase(Locale.ROOT)
                        .contains(wanted))
                .forEach(m -> byKind.computeIfAbsent(m.kind(), k -> new ArrayList<>())
                        .add(new Family(
                                m,
                                m.places().isEmpty()
                                        ? "off the body only"
                                        : String.join(
                                                ", ",
                                                m.places().stream()
                                                        .map(p -> p.name().toLowerCase(Locale.ROOT))
                                                        .toList()),
                                sets(m.setting()),
                                m.removedBy().stream()
                                        .map(r -> trade.materials().family(r).name())
                                        .toList())));
        model.addAttribute("families", byKind);
        model.addAttribute("q", q);
        return "rooms/house/materials";
    }

    private static String sets(@Nullable Setting setting) {
        if (setting == null) {
            return "does not dry";
        }
        if (setting instanceof Film) {
            return "dries as a thin film";
        }
        if (setting instanceof Bulk) {
            return "dries right through, slowly";
        }
        return setting instanceof Melt ? "sets as it cools" : "cures by itself once mixed";
    }

    @GetMapping("/house/words")
    String words(Model model) {
        model.addAttribute("words", glossary.all());
        return "rooms/house/words";
    }
}
