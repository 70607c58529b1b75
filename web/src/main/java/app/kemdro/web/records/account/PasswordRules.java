package app.kemdro.web.records.account;

import com.nulabinc.zxcvbn.Feedback;
import com.nulabinc.zxcvbn.Strength;
import com.nulabinc.zxcvbn.Zxcvbn;
import java.util.List;
import java.util.Locale;
import org.springframework.stereotype.Component;
import org.springframework.util.function.SingletonSupplier;

/**
 * What a password must satisfy: length, and that it is none that is tried first. Length and comparison with common ones count; what
 * letters it is made of does not (NIST SP 800-63B, 5.1.1.2, from memory).
 */
@Component
class PasswordRules {
    private static final int SHORTEST = 8;
    private static final int LONGEST = 128;

    /** Fewer guesses than this find it: a hundred thousand hashes are a matter of hours. */
    private static final double GUESSES = 1e6;

    /** What is looked at; guessing gets no easier after it, and the estimate takes long for long texts. */
    private static final int LOOKED_AT = 64;

    /** Its lists are read when the first password is chosen, not at the start. */
    private final SingletonSupplier<Zxcvbn> estimate = SingletonSupplier.of(Zxcvbn::new);

    /**
     * Says what is wrong with it.
     *
     * @param own what somebody would try first: names of the account
     * @throws IllegalArgumentException what is wrong and what to do
     */
    void check(String password, List<String> own) {
        if (password.length() < SHORTEST || password.length() > LONGEST) {
            throw new IllegalArgumentException("The password needs " + SHORTEST + " to " + LONGEST
                    + " characters; this one has " + password.length()
                    + ". Three or four words that do not belong together are easy to keep in mind.");
        }
        Strength strength =
                estimate.obtain().measure(password.substring(0, Math.min(LOOKED_AT, password.length())), own);
        if (strength.getGuesses() < GUESSES) {
            throw new IllegalArgumentException("That password is among the first that are tried"
                    + because(strength.getFeedback())
                    + ". Take another: three or four words that do not belong together, or something longer.");
        }
    }

    private static String because(Feedback feedback) {
        String warning = feedback.getWarning(Locale.ENGLISH);
        if (warning == null || warning.isBlank()) {
            return "";
        }
        String says = warning.strip().replaceAll("\\.$", "");
        return ": " + says.substring(0, 1).toLowerCase(Locale.ROOT) + says.substring(1);
    }
}
