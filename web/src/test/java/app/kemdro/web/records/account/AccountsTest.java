package app.kemdro.web.records.account;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.kemdro.web.records.account.Account.Role;
import java.io.IOException;
import java.nio.file.Files;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.test.context.DynamicPropertyRegistry;
import org.springframework.test.context.DynamicPropertySource;

/** What must be true of accounts whatever happens at the same moment, in a house of its own. */
@SpringBootTest
class AccountsTest {
    private static final String WORDS = "brass heron under snow";

    @Autowired
    private Accounts accounts;

    @DynamicPropertySource
    static void empty(DynamicPropertyRegistry registry) throws IOException {
        String folder = Files.createTempDirectory("kemdro-accounts").toString();
        registry.add("kemdro.home", () -> folder);
    }

    @Test
    void onlyOneIsTheFirstAndOneLeadIsAlwaysLeft() throws Exception {
        List<Callable<Boolean>> all = IntStream.range(0, 8)
                .<Callable<Boolean>>mapToObj(k -> () -> accounts.addFirstLead("lead" + k, "Lead " + k, WORDS))
                .toList();
        assertThat(together(all)).as("became the first").isEqualTo(1);
        assertThat(accounts.all()).hasSize(1);

        String first = accounts.all().get(0).getName();
        assertThatThrownBy(() -> accounts.changeRole(first, Role.HANDS)).hasMessageContaining("the only lead");
        assertThatThrownBy(() -> accounts.remove(first)).hasMessageContaining("the only lead");

        accounts.add("other", "Other Lead", WORDS, Role.LEAD);
        List<Callable<Boolean>> steppingDown = List.of(stepsDown(first), stepsDown("other"));
        assertThat(together(steppingDown)).as("stepped down").isEqualTo(1);
        assertThat(accounts.all()).filteredOn(a -> a.getRole() == Role.LEAD).hasSize(1);
    }

    private Callable<Boolean> stepsDown(String name) {
        return () -> {
            try {
                accounts.changeRole(name, Role.HANDS);
                return true;
            } catch (IllegalArgumentException onlyLead) {
                return false;
            }
        };
    }

    private static long together(List<Callable<Boolean>> all) throws Exception {
        ExecutorService threads = Executors.newFixedThreadPool(all.size());
        try {
            long done = 0;
            for (Future<Boolean> one : threads.invokeAll(all)) {
                done += one.get() ? 1 : 0;
            }
            return done;
        } finally {
            threads.shutdownNow();
        }
    }
}
