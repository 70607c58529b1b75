package app.kemdro.web.parts.data;

import jakarta.persistence.Query;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.springframework.data.jpa.repository.query.EscapeCharacter;

/**
 * Asks for rows in whose text all of some words stand, each anywhere in it.
 *
 * @param low the words, in small letters as the text is
 */
public record Containing(List<String> low) {
    private static final EscapeCharacter ESCAPE = EscapeCharacter.of('!');

    /** The condition on a text, to follow others. */
    public String of(String text) {
        return IntStream.range(0, low.size())
                .mapToObj(k -> " and " + text + " like :word" + k + " escape '" + ESCAPE.getEscapeCharacter() + "'")
                .collect(Collectors.joining());
    }

    /** Gives a query the words; what means something to the data is meant as it is written. */
    public <Q extends Query> Q given(Q query) {
        for (int k = 0; k < low.size(); k++) {
            query.setParameter("word" + k, "%" + ESCAPE.escape(low.get(k)) + "%");
        }
        return query;
    }
}
