package app.kemdro.core.layer;

import java.util.Set;

/**
 * A rule about a pair: what lies below and what is laid above it. A word is a surface (below), a nature (above) or a
 * material's own id; no words mean anything.
 *
 * @param by kinds of work that lay it; none means whatever lays it
 * @param through whether it also counts where only powder lies between
 */
record LayerRule(Set<String> below, Set<String> above, Set<String> by, boolean through, Judgement judgement) {
    private static final int OWN_ID = 4;
    private static final int WORD = 2;
    private static final int WORK = 1;

    /**
     * How closely it fits a pair, or −1 where it does not.
     *
     * @param slot the kind of work that lays it; empty where that is not known
     */
    int fit(Surface lower, String upperId, String upperNature, String slot) {
        int under = side(below, lower.material(), lower.word());
        int over = side(above, upperId, upperNature);
        if (under < 0 || over < 0 || !by.isEmpty() && !by.contains(slot)) {
            return -1;
        }
        return under + over + (by.isEmpty() ? 0 : WORK);
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
