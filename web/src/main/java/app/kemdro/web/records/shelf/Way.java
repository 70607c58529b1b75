package app.kemdro.web.records.shelf;

/**
 * Something that stands in the way of a job.
 *
 * @param room the room in which it is seen to, by the name in its address
 * @param brief the same in a few words; empty where as many as there are alike are counted
 */
public record Way(String room, Mark mark, String what, String remedy, String brief) {
    /** How it stands in the way, the worst first. */
    public enum Mark {
        /** It cannot be done like this. */
        FAILS,
        /** It should have happened, or is ready too late. */
        LATE,
        /** It is missing, or has to be seen to. */
        NEEDS
    }

    /** Whether it cannot be done like this. */
    public boolean stops() {
        return mark != Mark.NEEDS;
    }
}
