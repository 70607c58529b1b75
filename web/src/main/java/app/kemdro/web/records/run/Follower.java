package app.kemdro.web.records.run;

import app.kemdro.core.run.RunEvent;

/**
 * What follows from a report once it is stored: screens are told, stock is used up. It is done at once; where it fails it is
 * tried again, after a restart as well, so that it may be done twice and must not matter then.
 */
public interface Follower {
    /** By which it is known in what is still to be done; never changed. */
    String name();

    /** Whether anything follows from this. */
    boolean follows(RunEvent event, Run run);

    /**
     * Does it.
     *
     * @param now where the run stands
     * @param press the id of the report
     */
    void follow(RunNow now, String press);
}
