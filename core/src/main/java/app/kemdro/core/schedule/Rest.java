package app.kemdro.core.schedule;

/** A break for everybody, seconds from the moment work may begin. */
public record Rest(int start, int end) {}
