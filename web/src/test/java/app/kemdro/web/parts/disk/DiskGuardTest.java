package app.kemdro.web.parts.disk;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.doAnswer;
import static org.mockito.Mockito.doThrow;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import com.zaxxer.hikari.HikariDataSource;
import com.zaxxer.hikari.HikariPoolMXBean;
import com.zaxxer.hikari.SQLExceptionOverride;
import jakarta.servlet.FilterChain;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.SQLException;
import javax.sql.DataSource;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.mock.web.MockHttpServletResponse;

class DiskGuardTest {
    private static final Space NEARLY_FULL = new Space(20_000_000, true);
    private static final Space FULL = new Space(1_000, true);

    private final Disk disk = mock();
    private final HikariDataSource pool = mock();
    private final HikariPoolMXBean connections = mock();
    private final FilterChain inside = mock();
    private DiskGuard guard;

    @BeforeEach
    @SuppressWarnings("unchecked")
    void stands() {
        ObjectProvider<DataSource> database = mock();
        when(database.getIfAvailable()).thenReturn(pool);
        when(pool.getHikariPoolMXBean()).thenReturn(connections);
        ObjectProvider<Disk> later = mock();
        when(later.getObject()).thenReturn(disk);
        guard = new DiskGuard(later, database);
    }

    private MockHttpServletResponse answer(String method, String path, String accepts) throws Exception {
        MockHttpServletRequest request = new MockHttpServletRequest(method, path);
        request.setServletPath(path);
        request.addHeader("Accept", accepts);
        MockHttpServletResponse response = new MockHttpServletResponse();
        guard.doFilter(request, response, inside);
        return response;
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "/jobs/2/brief",
                "/jobs/2/chair/pictures",
                "/import",
                "/jobs/2/chair/eventsmore",
                "/house/keeping/backup"
            })
    void whatNeedsRoomIsNotTriedOnADiskThatIsNearlyFull(String path) throws Exception {
        when(disk.space()).thenReturn(NEARLY_FULL);
        MockHttpServletResponse said = answer("POST", path, "text/html");
        assertThat(said.getStatus()).isEqualTo(507);
        assertThat(said.getContentAsString())
                .contains("The disk is nearly full (20 MB left)")
                .contains("Nothing was changed.");
        verify(inside, never()).doFilter(any(), any());
    }

    @ParameterizedTest
    @ValueSource(
            strings = {"/jobs/2/chair/events", "/jobs/31/chair/begin", "/jobs/2/strike/press", "/sign-in", "/sign-out"})
    void whatIsPressedInTheChairIsKeptToTheLast(String path) throws Exception {
        when(disk.space()).thenReturn(NEARLY_FULL);
        assertThat(answer("POST", path, "*/*").getStatus()).isEqualTo(200);
        when(disk.space()).thenReturn(FULL);
        MockHttpServletResponse said = answer("POST", path, "*/*");
        assertThat(said.getStatus()).isEqualTo(507);
        assertThat(said.getContentType()).startsWith("application/json");
        assertThat(said.getContentAsString())
                .isEqualTo(
                        "{\"wrong\":\"The disk is full: nothing can be kept until there is room again. Nothing was changed.\"}");
    }

    @Test
    void readingGoesOn() throws Exception {
        when(disk.space()).thenReturn(FULL);
        assertThat(answer("GET", "/shelf", "text/html").getStatus()).isEqualTo(200);
        verify(inside).doFilter(any(), any());
    }

    /** A database that cannot be written cannot be opened: whoever asks is told at once, and what comes with the application still comes. */
    @Test
    void nobodyWaitsForADiskThatCannotBeWritten() throws Exception {
        when(disk.space()).thenReturn(new Space(900_000_000, false));
        MockHttpServletResponse said = answer("GET", "/shelf", "text/html");
        assertThat(said.getStatus()).isEqualTo(507);
        assertThat(said.getContentAsString())
                .contains("write-protected")
                .contains("can be written again")
                .doesNotContain("Make room");
        verify(inside, never()).doFilter(any(), any());
        assertThat(answer("GET", "/css/app.css", "text/css").getStatus()).isEqualTo(200);
    }

    /** What the system says may be written, and cannot: believed after something has failed, until it works again. */
    @Test
    void aDiskThatHasFailedIsTriedBeforeItIsBelieved(@TempDir Path home) throws IOException {
        Disk real = new Disk(home);
        Files.createDirectories(home.resolve(Disk.TRIED).resolve("in the way"));
        assertThat(real.space().writable()).isTrue();
        real.hasFailed();
        assertThat(real.space().writable()).isFalse();
        assertThat(real.says()).contains("write-protected");
        Files.delete(home.resolve(Disk.TRIED).resolve("in the way"));
        Files.delete(home.resolve(Disk.TRIED));
        assertThat(real.space().writable()).isTrue();
        assertThat(home).isEmptyDirectory();
    }

    @Test
    void aDiskThatFailsMeanwhileIsSaidAndTheDatabaseOpenedAnew() throws Exception {
        when(disk.space()).thenReturn(new Space(900_000_000, true));
        when(disk.says()).thenReturn("");
        doThrow(new IllegalStateException(new SQLException("closed", "90098", 90098)))
                .when(inside)
                .doFilter(any(), any());
        MockHttpServletResponse said = answer("POST", "/jobs/2/brief", "text/html");
        assertThat(said.getStatus()).isEqualTo(507);
        assertThat(said.getContentAsString())
                .contains("The disk failed for a moment")
                .doesNotContain("SQLException", "90098");
        verify(connections).softEvictConnections();
    }

    /** A page had begun to be written when it failed, as a controller does that streams. */
    @Test
    void whatHadBegunToBeWrittenIsReplaced() throws Exception {
        when(disk.space()).thenReturn(new Space(900_000_000, true));
        when(disk.says()).thenReturn("");
        doAnswer(call -> {
                    MockHttpServletResponse response = call.getArgument(1);
                    response.getOutputStream().write("half a page".getBytes(StandardCharsets.UTF_8));
                    response.setStatus(507);
                    return null;
                })
                .when(inside)
                .doFilter(any(), any());
        assertThat(answer("GET", "/jobs/2/order", "text/html").getContentAsString())
                .contains("The disk failed for a moment")
                .doesNotContain("half a page");
    }

    @Test
    void whatElseFailsIsNotTheDisk() throws Exception {
        when(disk.space()).thenReturn(new Space(900_000_000, true));
        doThrow(new IllegalStateException(new SQLException("twice", "23505", 23505)))
                .when(inside)
                .doFilter(any(), any());
        assertThatThrownBy(() -> answer("POST", "/jobs/2/brief", "text/html"))
                .isInstanceOf(IllegalStateException.class);
        verify(connections, never()).softEvictConnections();
    }

    @Test
    void connectionsToADatabaseThatClosedItselfAreThrownAway() {
        assertThat(new DiskTrouble().adjudicate(new SQLException("closed", "90098", 90098)))
                .isEqualTo(SQLExceptionOverride.Override.MUST_EVICT);
        assertThat(new DiskTrouble().adjudicate(new SQLException("twice", "23505", 23505)))
                .isEqualTo(SQLExceptionOverride.Override.CONTINUE_EVICT);
    }

    @Test
    void theReserveIsWrittenOutAndGivenBackOnlyWhenRoomIsShort(@TempDir Path home) throws IOException {
        Disk real = new Disk(home);
        real.reserve();
        assertThat(home.resolve(Disk.RESERVE)).hasSize(16_000_000);
        assertThat(real.taken()).as("of the house").isZero();
        assertThat(real.space().free()).isPositive();
        assertThat(home.resolve(Disk.RESERVE)).exists();
        Files.delete(home.resolve(Disk.RESERVE));
    }
}
