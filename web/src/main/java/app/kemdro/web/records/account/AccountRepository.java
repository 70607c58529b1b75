package app.kemdro.web.records.account;

import java.util.List;
import java.util.Optional;
import org.springframework.data.repository.Repository;

interface AccountRepository extends Repository<Account, Long> {
    Optional<Account> findByName(String name);

    List<Account> findAllByOrderByName();

    long count();

    long countByRole(Account.Role role);

    Account save(Account account);

    void delete(Account account);
}
