package app.kemdro.web.records.job;

import org.jspecify.annotations.Nullable;

/** Somebody who sits, and one of the jobs on the shelf for which they do; without one where they sit for none. */
public record SitsFor(long performer, String name, @Nullable String title) {}
