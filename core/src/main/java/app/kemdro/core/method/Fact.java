package app.kemdro.core.method;

/** Something true of a job that speaks for or against a technique. */
public enum Fact {
    CLOSE_CAMERA("seen close by a camera"),
    CAMERA("seen by a camera"),
    STAGE("seen from the house"),
    STREET("seen in the street"),
    LONG_DAY("it must last more than six hours"),
    SHORT_TIME("there are few minutes in hand"),
    SHORT_NOTICE("the bench has no day free"),
    LITTLE_MONEY("money is short"),
    FINE_BROWS("fine brows"),
    MEDIUM_BROWS("medium brows"),
    THICK_BROWS("thick brows"),
    NO_HAIR("no hair to flatten"),
    LONG_HAIR("long hair"),
    MOVES_MUCH("the skin moves much here"),
    CREASES("cream creases there, water paint does not"),
    LARGE_AREA("a large area"),
    SMALL_AREA("a small area"),
    ALONE("alone in the mirror"),
    SENSITIVE_EYES("sensitive eyes"),
    HIDDEN("hidden under a wig or costume");

    private final String words;

    Fact(String words) {
        this.words = words;
    }

    /** As said in a reason. */
    public String words() {
        return words;
    }
}
