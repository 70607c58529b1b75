package app.kemdro.web.parts.words;

import app.kemdro.core.datafile.DataNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.springframework.stereotype.Component;

/** What words on screen mean, from words.yaml. */
@Component
public class Glossary {
    private final List<Word> met = new ArrayList<>();

    /**
     * Reads the data that ships with Kemdro.
     *
     * @throws app.kemdro.core.datafile.BrokenFile naming file, line and reason
     */
    public Glossary() {
        for (DataNode node : DataNode.resource("/words.yaml").get("met").items()) {
            node.onlyKeys(Set.of("word", "says", "rooms"));
            met.add(new Word(node.get("word").text(), node.get("says").text(), Set.copyOf(node.words("rooms"))));
        }
    }

    /**
     * A word that somebody meets.
     *
     * @param rooms in which it stands
     */
    public record Word(String word, String says, Set<String> rooms) {
        /** Its place on the page of all words. */
        public String key() {
            return word.replace(' ', '-');
        }
    }

    /** All of them, in the order in which a head goes through the house. */
    public List<Word> all() {
        return List.copyOf(met);
    }

    /** Those of a room. */
    public List<Word> in(String room) {
        return met.stream().filter(w -> w.rooms().contains(room)).toList();
    }
}
