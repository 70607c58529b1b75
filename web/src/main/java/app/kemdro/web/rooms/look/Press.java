package app.kemdro.web.rooms.look;

import app.kemdro.web.records.job.Job;
import app.kemdro.web.rooms.Rooms;
import java.util.List;

/**
 * A change to the look.
 *
 * @param zones zones that stay pressed
 * @param live whether a script asks and swaps the room in, so that it need not be sent to fetch it
 * @param entry the entry it is about, empty where it is about the whole look
 * @param had how that, or the job, stood on the page that was pressed; empty where the page did not say
 */
record Press(long id, List<String> zones, String show, boolean live, String artist, String entry, String had) {
    /** Whether what is pressed still stands as it did when it was looked at. */
    boolean isAsSeen(Job job) {
        return entry.isEmpty()
                ? !Rooms.isOverdue(had, job)
                : had.isEmpty()
                        || job.look()
                                .entry(entry)
                                .map(LookRoom::had)
                                .filter(had::equals)
                                .isPresent();
    }
}
