package app.kemdro.web.records.paint;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

interface SwatchRepository extends JpaRepository<Swatch, Long> {
    List<Swatch> findAllByOrderByFamilyAscName();

    Optional<Swatch> findByName(String name);

    List<Swatch> findAllByNameIn(Collection<String> names);
}
