package app.kemdro.web.records.usual;

import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps what the house usually has. */
@Service
public class UsualHouses {
    private final UsualHouseRepository repository;

    UsualHouses(UsualHouseRepository repository) {
        this.repository = repository;
    }

    /** What the house usually has; empty where nobody has said it yet. */
    @Transactional(readOnly = true)
    public Optional<UsualHouse> now() {
        return repository.findById(UsualHouseRow.ONLY).map(UsualHouseRow::usual);
    }

    /** What every new job begins with from now on. */
    @Transactional
    public void keep(UsualHouse usual) {
        repository.save(new UsualHouseRow(usual));
    }
}
