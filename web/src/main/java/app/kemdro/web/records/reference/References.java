package app.kemdro.web.records.reference;

import app.kemdro.web.parts.figure.FigureView;
import app.kemdro.web.parts.mishap.NotPossible;
import app.kemdro.web.parts.picture.Frame;
import app.kemdro.web.parts.picture.PictureFile;
import app.kemdro.web.records.reference.Reference.Mark;
import java.time.Clock;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps the pictures of what a job's character shall look like. */
@Service
public class References {
    /** So many pictures a job; more than anybody looks at, and few enough for a file that is sent. */
    public static final int MOST = 24;

    private final ReferenceRepository references;
    private final ReferenceImageRepository images;
    private final Clock clock;

    References(ReferenceRepository references, ReferenceImageRepository images, Clock clock) {
        this.references = references;
        this.images = images;
        this.clock = clock;
    }

    /** The pictures of a job that are in use, in the order in which they came. */
    public List<Reference> of(long job) {
        return references.findByJobIdOrderById(job).stream()
                .filter(r -> !r.isSetAside())
                .toList();
    }

    /** Those that were set aside. */
    public List<Reference> aside(long job) {
        return references.findByJobIdOrderById(job).stream()
                .filter(Reference::isSetAside)
                .toList();
    }

    /**
     * A picture of a job.
     *
     * @throws NotPossible where it is not there any more
     */
    public Reference get(long job, long id) {
        return references
                .findByIdAndJobId(id, job)
                .orElseThrow(() -> new NotPossible("This picture is not there any more."));
    }

    /** What is shown of a picture, as JPEG. */
    public Optional<byte[]> shown(long job, long id) {
        return references
                .findByIdAndJobId(id, job)
                .flatMap(r -> images.findById(id))
                .map(ReferenceImage::shown);
    }

    /**
     * Keeps a picture, made fit to be kept.
     *
     * @throws NotPossible where it is no picture that can be kept, or there are {@value #MOST} already
     */
    @Transactional
    public Reference add(long job, byte[] sent) {
        return store(job, PictureFile.kept(sent));
    }

    private Reference store(long job, byte[] kept) {
        if (references.countByJobId(job) >= MOST) {
            throw new NotPossible("A job keeps " + MOST + " pictures. Remove one first, also of those set aside.");
        }
        PictureFile.Size size = PictureFile.size(kept);
        Reference made = references.save(new Reference(job, LocalDateTime.now(clock), size.width(), size.height()));
        images.save(new ReferenceImage(made.id(), kept));
        return made;
    }

    /** Says what a picture shows, from where, and whether the performer is to be known on it. */
    @Transactional
    public void say(long job, long id, String note, @Nullable FigureView from, boolean ofPerformer) {
        get(job, id).say(said(note, Reference.LONGEST_NOTE), from, ofPerformer);
    }

    /** Pins a picture to these zones; to none where it is about all of them. */
    @Transactional
    public void pin(long job, long id, Set<String> zones) {
        get(job, id).pin(zones);
    }

    /** Shows so much of a picture; marks outside it are kept. */
    @Transactional
    public void show(long job, long id, Frame frame) {
        get(job, id).show(frame);
        ReferenceImage image = image(id);
        image.show(frame.isWhole() ? null : PictureFile.cropped(image.whole(), frame));
    }

    /** Marks a place of the whole picture, and reads what colour it has there. */
    @Transactional
    public void mark(long job, long id, double fromLeft, double fromTop, String note) {
        Reference reference = get(job, id);
        if (!(fromLeft >= 0 && fromLeft <= 1 && fromTop >= 0 && fromTop <= 1)) {
            throw new NotPossible("A mark lies on the picture: 0 to 100 % from its left and from its top.");
        }
        if (reference.marks().size() >= Reference.MOST_MARKS) {
            throw new NotPossible("A picture takes " + Reference.MOST_MARKS + " marks. Remove one first.");
        }
        List<Mark> marks = new ArrayList<>(reference.marks());
        String colour =
                PictureFile.colourAt(image(id).whole(), fromLeft, fromTop).hex();
        marks.add(new Mark(fromLeft, fromTop, colour, said(note, Mark.LONGEST_NOTE)));
        reference.mark(marks);
    }

    /** Says something else at a mark, by its number from 0. */
    @Transactional
    public void sayAt(long job, long id, int mark, String note) {
        Reference reference = get(job, id);
        List<Mark> marks = new ArrayList<>(reference.marks());
        Mark was = marks.get(known(mark, marks));
        marks.set(mark, new Mark(was.fromLeft(), was.fromTop(), was.colour(), said(note, Mark.LONGEST_NOTE)));
        reference.mark(marks);
    }

    /** Takes a mark off, by its number from 0. */
    @Transactional
    public void unmark(long job, long id, int mark) {
        Reference reference = get(job, id);
        List<Mark> marks = new ArrayList<>(reference.marks());
        marks.remove(known(mark, marks));
        reference.mark(marks);
    }

    private static int known(int mark, List<Mark> marks) {
        if (mark < 0 || mark >= marks.size()) {
            throw new NotPossible("This mark is not there any more.");
        }
        return mark;
    }

    /** Sets a picture aside, or puts it back. */
    @Transactional
    public void setAside(long job, long id, boolean aside) {
        get(job, id).setAside(aside);
    }

    /** Removes a picture for good. */
    @Transactional
    public void remove(long job, long id) {
        Reference gone = get(job, id);
        images.deleteById(id);
        references.delete(gone);
    }

    /** Removes the pictures on which the performer is to be known. */
    @Transactional
    public void removeOfPerformer(long job) {
        references.findByJobIdOrderById(job).stream()
                .filter(Reference::isOfPerformer)
                .map(Reference::id)
                .toList()
                .forEach(id -> remove(job, id));
    }

    private ReferenceImage image(long id) {
        return images.findById(id).orElseThrow(() -> new NotPossible("This picture is not there any more."));
    }

    private static String said(String text, int most) {
        String said = text.strip();
        if (said.length() > most) {
            throw new NotPossible("A note holds up to " + most + " letters, and this one has " + said.length()
                    + ". Make it shorter; nothing was changed.");
        }
        return said;
    }

    /**
     * A picture with all that was said of it, for whoever takes the job elsewhere or does it again.
     *
     * @param image all of it, already made fit to be kept
     */
    public record Kept(
            String note,
            Optional<FigureView> seenFrom,
            Set<String> zones,
            Frame frame,
            boolean ofPerformer,
            List<Mark> marks,
            byte[] image) {}

    /** The pictures of a job that are in use, whole. */
    public List<Kept> kept(long job) {
        return of(job).stream()
                .map(r -> new Kept(
                        r.note(),
                        r.seenFrom(),
                        r.zones(),
                        r.frame(),
                        r.isOfPerformer(),
                        r.marks(),
                        image(r.id()).whole()))
                .toList();
    }

    /** Takes pictures over as they were kept elsewhere. */
    @Transactional
    public void take(long job, List<Kept> pictures) {
        for (Kept p : pictures) {
            Reference made = store(job, p.image());
            made.say(said(p.note(), Reference.LONGEST_NOTE), p.seenFrom().orElse(null), p.ofPerformer());
            made.pin(p.zones());
            made.mark(p.marks());
            if (!p.frame().isWhole()) {
                show(job, made.id(), p.frame());
            }
        }
    }
}
