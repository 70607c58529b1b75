package app.kemdro.web.chair;

import java.util.Optional;
import org.springframework.data.repository.Repository;

interface Pictures extends Repository<Picture, String> {
    Optional<Picture> findById(String id);

    void deleteByRunId(long runId);

    Picture saveAndFlush(Picture picture);
}
