package app.kemdro.core.method;

import org.jspecify.annotations.Nullable;

/**
 * What is on the fingers of somebody who works on themselves.
 *
 * @param state what steps call it
 * @param by work that leaves them so until the end, if any does
 * @param not what is not done with them
 */
public record FingerState(String state, Rule.@Nullable Pick by, Rule.Pick not, String because) {}
