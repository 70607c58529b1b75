package app.kemdro.web.records.keeping;

/** A backup that does not hold a whole house, said as the end of a sentence. */
class Damaged extends RuntimeException {
    private static final long serialVersionUID = 1L;

    Damaged(String why) {
        super(why);
    }
}
