package app.kemdro.web.records.performer;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface PerformerRepository extends Repository<Performer, Long> {
    Optional<Performer> findById(long id);

    Optional<Performer> findFirstByNameIgnoreCaseOrderById(String name);

    @Query("select p.name from Performer p order by p.name")
    List<String> names();

    void delete(Performer performer);

    Performer save(Performer performer);
}
