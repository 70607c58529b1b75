package app.kemdro.web.rooms.picture;

import app.kemdro.core.body.Body;
import app.kemdro.web.parts.figure.FigureView;
import app.kemdro.web.records.reference.Reference;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.stream.IntStream;

/**
 * A reference picture as pages show it.
 *
 * @param says what it is called: its note, or what it belongs to
 * @param view key of the view of the figure it belongs to, or empty
 * @param where the zones it is pinned to, in words
 * @param src address of what is shown of it
 * @param width of what is shown, pixels
 */
record ShownPicture(
        long id,
        String says,
        String note,
        String view,
        List<String> zones,
        String where,
        String src,
        int width,
        int height,
        boolean cropped,
        boolean ofPerformer,
        List<ShownMark> marks) {

    /**
     * A mark as pages show it.
     *
     * @param number from 0, of all marks of the picture
     * @param x from the left of what is shown, 0 to 1
     * @param seen whether it lies on what is shown
     * @param aim address of the paint table with this colour as its target
     */
    record ShownMark(int number, double x, double y, boolean seen, String colour, String note, String aim) {
        /** Where it lies, in per cent. */
        public String at() {
            return Math.round(x * 100) + " % from the left, " + Math.round(y * 100) + " % from the top";
        }
    }

    static ShownPicture of(long job, Reference r, Body body) {
        List<String> zones = body.sorted(r.zones());
        String where = zones.isEmpty() ? "" : body.say(zones);
        String from = r.seenFrom().map(FigureView::says).orElse("");
        return new ShownPicture(
                r.id(),
                !r.note().isEmpty()
                        ? r.note()
                        : !where.isEmpty() ? where : from.isEmpty() ? "the whole character" : from,
                r.note(),
                r.seenFrom().map(FigureView::key).orElse(""),
                zones,
                where,
                // what is cropped anew has another address, so that no browser shows what it remembers
                "/jobs/" + job + "/pictures/" + r.id() + "?shows="
                        + Integer.toHexString(r.frame().hashCode()),
                r.shownWidth(),
                r.shownHeight(),
                !r.frame().isWhole(),
                r.isOfPerformer(),
                IntStream.range(0, r.marks().size())
                        .mapToObj(k -> mark(job, k, r))
                        .toList());
    }

    private static ShownMark mark(long job, int number, Reference r) {
        Reference.Mark m = r.marks().get(number);
        double x = r.frame().shownX(m.fromLeft());
        double y = r.frame().shownY(m.fromTop());
        return new ShownMark(
                number,
                x,
                y,
                x >= 0 && x <= 1 && y >= 0 && y <= 1,
                m.colour(),
                m.note(),
                "/jobs/" + job + "/colour?aim=" + URLEncoder.encode(m.colour(), StandardCharsets.UTF_8));
    }
}
