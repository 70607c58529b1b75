package app.kemdro.web.records.jobfile;

import app.kemdro.core.body.Body;
import app.kemdro.core.colour.Srgb;
import app.kemdro.web.parts.figure.FigureView;
import app.kemdro.web.parts.mishap.NotPossible;
import app.kemdro.web.parts.picture.Frame;
import app.kemdro.web.parts.picture.PictureFile;
import app.kemdro.web.records.reference.Reference;
import app.kemdro.web.records.reference.References;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** Reference pictures as they stand in a job file. */
public final class FilePictures {
    private FilePictures() {}

    /** As a file holds them. */
    public static List<JobFile.Picture> written(List<References.Kept> pictures) {
        return pictures.stream()
                .map(p -> new JobFile.Picture(
                        p.note(),
                        p.seenFrom().map(FigureView::key).orElse(null),
                        List.copyOf(p.zones()),
                        List.of(
                                p.frame().fromLeft(),
                                p.frame().fromTop(),
                                p.frame().wide(),
                                p.frame().high()),
                        p.ofPerformer(),
                        p.marks().stream()
                                .map(m -> new JobFile.Mark(m.fromLeft(), m.fromTop(), m.colour(), m.note()))
                                .toList(),
                        p.image()))
                .toList();
    }

    /**
     * What a file holds, made fit to be kept.
     *
     * @throws Unreadable saying which picture cannot be taken, and why
     */
    static List<References.Kept> read(List<JobFile.Picture> given, Body body) {
        List<References.Kept> pictures = new ArrayList<>();
        for (JobFile.Picture p : given) {
            pictures.add(read("pictures[" + pictures.size() + "]", p, body));
        }
        return pictures;
    }

    private static References.Kept read(String at, JobFile.Picture p, Body body) {
        List<String> zones = p.zones() == null ? List.of() : p.zones();
        for (String zone : zones) {
            if (!body.has(zone)) {
                throw new Unreadable(at + ".zones: '" + zone + "' is no zone of the body.");
            }
        }
        try {
            return new References.Kept(
                    p.note() == null ? "" : p.note(),
                    seenFrom(at, p.seenFrom()),
                    new LinkedHashSet<>(zones),
                    frame(p.frame()),
                    Boolean.TRUE.equals(p.ofPerformer()),
                    (p.marks() == null ? List.<JobFile.Mark>of() : p.marks())
                            .stream().map(FilePictures::mark).toList(),
                    PictureFile.kept(Objects.requireNonNull(p.image())));
        } catch (IllegalArgumentException | NotPossible wrong) {
            throw new Unreadable(at + ": " + wrong.getMessage());
        }
    }

    private static Optional<FigureView> seenFrom(String at, @Nullable String key) {
        if (key == null) {
            return Optional.empty();
        }
        return Optional.of(FigureView.of(key)
                .orElseThrow(() -> new Unreadable(at + ".seenFrom: the figure has no view '" + key + "'.")));
    }

    private static Frame frame(@Nullable List<Double> given) {
        if (given == null) {
            return Frame.WHOLE;
        }
        if (given.size() != 4) {
            throw new IllegalArgumentException("frame takes four numbers: from the left, from the top, width, height.");
        }
        return new Frame(given.get(0), given.get(1), given.get(2), given.get(3));
    }

    private static Reference.Mark mark(JobFile.Mark given) {
        return new Reference.Mark(
                Objects.requireNonNull(given.fromLeft()),
                Objects.requireNonNull(given.fromTop()),
                Srgb.hex(Objects.requireNonNull(given.colour())).hex(),
                given.note() == null ? "" : given.note());
    }
}
