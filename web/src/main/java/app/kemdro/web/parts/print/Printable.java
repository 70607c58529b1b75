package app.kemdro.web.parts.print;

/** Text as paper and files can carry it. */
public final class Printable {
    private Printable() {}

    /** The same without control characters other than line ends and tabs, and without what XML 1.0 (section 2.2) cannot hold. */
    public static String of(String text) {
        if (text.codePoints().allMatch(Printable::isAllowed)) {
            return text;
        }
        StringBuilder kept = new StringBuilder(text.length());
        text.codePoints().filter(Printable::isAllowed).forEach(kept::appendCodePoint);
        return kept.toString();
    }

    private static boolean isAllowed(int c) {
        return c == '\n'
                || c == '\r'
                || c == '\t'
                || c >= 0x20 && c < 0x7f
                || c >= 0xa0 && c < 0xd800
                || c >= 0xe000 && c <= 0xfffd
                || c >= 0x10000;
    }
}
