package app.kemdro.core.layer;

import java.util.Set;

/**
 * A rule about a pair: what lies below and what is laid above it. A word is a surface (below), a nature (above) or a
 * material's own id; no words mean anything.
 *
 * @param through whether it also counts where only powder lies between
 */
record LayerRule(Set<String> below, Set<String> above, boolean through, Judgement judgement) {
    private static final int OWN_ID = 4;
    private static final int WORD = 2;

    /** How closely it fits a pair, or −1 where it does not. */
    int fit(Surface lower, String upperId, String upperNature) {
        int under = side(below, lower.material(), lower.word());
        int over = side(above, upperId, upperNature);
        return under < 0 || over < 0 ? -1 : under + over;
    }

    private static int side(Set<String> words, String id, String word) {
        if (words.isEmpty()) {
            return 0;
        }
        if (words.contains(id)) {
            return OWN_ID;
        }
        return words.contains(word) ? WORD : -1;
    }
}
