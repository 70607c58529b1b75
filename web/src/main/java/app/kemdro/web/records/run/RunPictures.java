package app.kemdro.web.records.run;

import app.kemdro.web.parts.mishap.NotPossible;
import app.kemdro.web.parts.picture.PictureFile;
import java.time.LocalDateTime;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Pictures of runs: taken in the chair, or added in the book before and after. */
@Service
public class RunPictures {
    private static final int MOST = 60;

    private final Pictures pictures;
    private final Runs runs;

    RunPictures(Pictures pictures, Runs runs) {
        this.pictures = pictures;
        this.runs = runs;
    }

    /** What a picture shows. */
    public enum Shows {
        BEFORE,
        CHAIR,
        ZONE,
        AFTER,
        SKIN
    }

    /**
     * A picture without itself.
     *
     * @param zone the place of the body, or empty
     */
    public record Shown(String id, long runId, LocalDateTime takenAt, Shows shows, String zone) {}

    /** Pictures of a run, in the order in which the day went. */
    public List<Shown> of(Run run) {
        return pictures.findByRunId(run.id()).stream()
                .sorted(Comparator.comparing(Shown::shows).thenComparing(Shown::takenAt))
                .toList();
    }

    /** A picture of one of a job's runs. */
    public Optional<Picture> find(long job, String id) {
        return pictures.findByIdAndRunIdIn(
                id, runs.of(job).stream().map(Run::id).toList());
    }

    /** The bytes of a picture of one of a job's runs, a JPEG or PNG. */
    public Optional<byte[]> bytes(long job, String id) {
        return find(job, id).map(Picture::image);
    }

    /**
     * Keeps a picture, made fit to be kept; the same id again changes nothing.
     *
     * @throws NotPossible where it is no picture that can be kept
     */
    @Transactional
    public void keep(Run run, String id, byte[] sent, LocalDateTime at, Shows shows, String zone) {
        if (!id.matches("[A-Za-z0-9-]{8,55}")) {
            throw new NotPossible("The picture has no id of its own.");
        }
        if (pictures.existsById(id)) {
            return;
        }
        if (pictures.countByRunId(run.id()) >= MOST) {
            throw new NotPossible("A run keeps " + MOST + " pictures. Take one out first.");
        }
        pictures.saveAndFlush(new Picture(id, run.id(), at, PictureFile.kept(sent), shows, zone));
    }

    /** Removes the pictures of skin of a run. */
    @Transactional
    public void removeSkin(Run run) {
        pictures.deleteByRunIdAndShows(run.id(), Shows.SKIN);
    }

    /** Removes every picture of a run. */
    @Transactional
    public void removeAll(Run run) {
        pictures.deleteByRunId(run.id());
    }

    @Transactional
    public void remove(Run run, String id) {
        pictures.deleteByIdAndRunId(id, run.id());
    }
}
