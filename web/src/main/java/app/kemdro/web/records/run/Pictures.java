package app.kemdro.web.records.run;

import app.kemdro.web.records.run.RunPictures.Shown;
import java.util.List;
import java.util.Optional;
import org.springframework.data.repository.Repository;

interface Pictures extends Repository<Picture, String> {
    /** What there is, without the pictures themselves. */
    List<Shown> findByRunId(long runId);

    Optional<Picture> findByIdAndRunIdIn(String id, List<Long> runs);

    boolean existsById(String id);

    long countByRunId(long runId);

    void deleteByIdAndRunId(String id, long runId);

    void deleteByRunIdAndShows(long runId, RunPictures.Shows shows);

    void deleteByRunId(long runId);

    Picture saveAndFlush(Picture picture);
}
