package app.kemdro.core.layer;

/**
 * What is said about a boundary.
 *
 * @param condition what the artist sees to where it holds if that is done, else empty
 * @param because the reason in trade words
 */
public record Judgement(Verdict verdict, String condition, String because, Mend mend) {
    /** Said where no rule speaks about a pair. */
    static Judgement unknown(String below, String above) {
        return new Judgement(
                Verdict.UNKNOWN,
                "",
                "Nothing is known here about " + above + " on " + below + "; try it on a wrist first.",
                Mend.NONE);
    }
}
