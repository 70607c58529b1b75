package app.kemdro.web.parts.assets;

import jakarta.servlet.http.HttpServletRequest;
import java.util.List;
import java.util.regex.Pattern;

/** What comes with the application and is the same for everybody: it says nothing of its own, and nothing of it waits for the data. */
public final class Shipped {
    static final List<String> FOLDERS = List.of("css", "fonts", "figure", "icons", "js");

    private static final Pattern PATH = Pattern.compile("/(" + String.join("|", FOLDERS) + ")/.*");

    private Shipped() {}

    /** Whether this is asked for. */
    public static boolean is(HttpServletRequest request) {
        return PATH.matcher(request.getRequestURI()).matches();
    }

    /** Its addresses, as patterns. */
    public static String[] paths() {
        return FOLDERS.stream().map(folder -> "/" + folder + "/**").toArray(String[]::new);
    }
}
