package app.kemdro.web.parts.habit;

import org.jspecify.annotations.Nullable;

/** Knows how each reads. */
public interface Readers {
    /**
     * How this account reads.
     *
     * @param account sign-in name; none for somebody who has not signed in: as the house does
     */
    Reader of(@Nullable String account);
}
