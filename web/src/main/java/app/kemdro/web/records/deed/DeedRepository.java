package app.kemdro.web.records.deed;

import java.util.List;
import org.springframework.data.repository.Repository;

interface DeedRepository extends Repository<Deed, Long> {
    Deed save(Deed deed);

    List<Deed> findTop200ByOrderByIdDesc();

    List<Deed> findTop200ByAboutOrderByIdDesc(Deed.About about);
}
