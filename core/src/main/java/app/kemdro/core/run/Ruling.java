package app.kemdro.core.run;

/** What is said of a report before it is written down. */
public sealed interface Ruling {
    /**
     * It can be.
     *
     * @param event as it is written down, with what the device does not know filled in
     */
    record Can(RunEvent event) implements Ruling {}

    /** It can be, but somebody who means it should say so. */
    record Asks(String question) implements Ruling {}

    /** It cannot be, and why not. */
    record Cannot(String why) implements Ruling {}
}
