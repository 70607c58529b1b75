package app.kemdro.core.habit;

import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * The money of a house. What it pays is said with "¤" wherever it is worked out; the trade's reference prices are euros and said with "€".
 *
 * @param sign by which it is called, such as "€", "kr" or "CHF": 1 to 4 letters or signs
 * @param perEuro how much of it a euro is about, 0.0001 to 100000; for reference prices only
 */
public record Money(String sign, double perEuro) {
    private static final Pattern SIGN = Pattern.compile("[\\p{Sc}\\p{L}.]{1,4}");
    private static final Pattern EUROS = Pattern.compile("€ (\\d+(?:\\.\\d+)?)");
    private static final double LEAST = 0.0001;
    private static final double MOST = 100_000;

    public static final Money EURO = new Money("€", 1);

    /**
     * @throws IllegalArgumentException saying what is wrong
     */
    public Money {
        if (!SIGN.matcher(sign).matches()) {
            throw new IllegalArgumentException("The money's sign is 1 to 4 letters or signs, such as € or kr.");
        }
        if (!(perEuro >= LEAST && perEuro <= MOST)) {
            throw new IllegalArgumentException("One euro is 0.0001 to 100000 of it, such as 1.08.");
        }
    }

    /** A text with its amounts in this money: what is said in euros is converted, what is the house's own stays as it is. */
    public String said(String text) {
        if (text.indexOf('€') < 0 && text.indexOf('¤') < 0) {
            return text;
        }
        String said = perEuro == 1
                ? text
                : EUROS.matcher(text)
                        .replaceAll(m ->
                                Matcher.quoteReplacement("€ " + Math.round(perEuro * Double.parseDouble(m.group(1)))));
        return said.replace("€", sign).replace("¤", sign);
    }
}
