package app.kemdro.web.rooms.book;

import app.kemdro.web.records.finding.Finds;
import java.util.List;
import org.springframework.security.core.Authentication;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Finds a word in the books of all jobs that somebody sees. */
@Controller
class SearchController {
    private final Finds finds;

    SearchController(Finds finds) {
        this.finds = finds;
    }

    @GetMapping("/book")
    String search(@RequestParam(defaultValue = "") String find, Model model, Authentication who) {
        String words = find.strip();
        Finds.Answer answer = words.isEmpty() ? new Finds.Answer(List.of(), false, 0) : finds.find(words, who);
        model.addAttribute("room", "find");
        model.addAttribute("find", words);
        model.addAttribute("answer", answer);
        return "rooms/book/search";
    }
}
