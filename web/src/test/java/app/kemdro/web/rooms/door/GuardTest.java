package app.kemdro.web.rooms.door;

import static org.assertj.core.api.Assertions.assertThat;

import app.kemdro.core.look.Brief.Skill;
import app.kemdro.core.run.RunEvent;
import app.kemdro.core.run.Stamp;
import app.kemdro.web.DemoJobs;
import app.kemdro.web.DemoTest;
import app.kemdro.web.records.account.Account;
import app.kemdro.web.records.account.Accounts;
import app.kemdro.web.records.account.SignedIn;
import app.kemdro.web.records.job.Jobs;
import app.kemdro.web.records.run.Reports;
import app.kemdro.web.records.run.Run;
import app.kemdro.web.records.run.Runs;
import app.kemdro.web.records.run.Seats;
import java.io.InputStream;
import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.Base64;
import java.util.List;
import java.util.Objects;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.test.annotation.DirtiesContext;
import org.springframework.test.context.TestPropertySource;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;

/**
 * Accounts as they are seen from outside, over real connections: who is let in, who no longer is, and what ends with it. In an
 * application of its own: where presses were imitated, forms are from then on believed by the session, not by their cookie.
 */
@DemoTest
@TestPropertySource(properties = "kemdro.test=the door")
@DirtiesContext
class GuardTest {
    private static final String WORDS = "brass heron under snow";
    private static final String OTHERS = "vat cobble ninepin kelp";

    @LocalServerPort
    private int port;

    @Autowired
    private Accounts accounts;

    @Autowired
    private JdbcTemplate database;

    @Autowired
    private Jobs jobs;

    @Autowired
    private Seats seats;

    @Autowired
    private Runs runs;

    @Autowired
    private Reports reports;

    @Autowired
    private SignedIn signedIn;

    @Autowired
    private RequestMappingHandlerMapping handlers;

    private String name = "";
    private Visitor lead = new Visitor();

    private final class Visitor {
        private final CookieManager cookies = new CookieManager();
        private final HttpClient http = HttpClient.newBuilder()
                .version(HttpClient.Version.HTTP_1_1)
                .cookieHandler(cookies)
                .build();

        private HttpRequest.Builder request(String path) {
            return HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + path))
                    .timeout(Duration.ofMinutes(2));
        }

        HttpResponse<String> get(String path) throws Exception {
            return http.send(request(path).build(), BodyHandlers.ofString());
        }

        HttpResponse<String> post(String page, String path, String body) throws Exception {
            return press(tokenOf(page), path, body);
        }

        /** What a press of this page is believed by. */
        String tokenOf(String page) throws Exception {
            Matcher m = Pattern.compile("name=\"csrf-token\" content=\"([^\"]+)\"")
                    .matcher(get(page).body());
            return m.find() ? m.group(1) : "";
        }

        HttpResponse<String> press(String token, String path, String body) throws Exception {
            return http.send(
                    request(path)
                            .header("Content-Type", "application/x-www-form-urlencoded")
                            .header("X-CSRF-TOKEN", token)
                            .POST(HttpRequest.BodyPublishers.ofString(body.replace(' ', '+')))
                            .build(),
                    BodyHandlers.ofString());
        }

        /** Where it leads. */
        String signIn(String who, String password) throws Exception {
            return post("/sign-in", "/sign-in", "username=" + who + "&password=" + password)
                    .headers()
                    .firstValue("location")
                    .orElse("");
        }

        boolean isIn() throws Exception {
            return get("/shelf").statusCode() == 200;
        }

        /** A stream of its own; completed when the server ends it. */
        CompletableFuture<Void> listen(String path) throws Exception {
            HttpResponse<InputStream> stream = http.send(request(path).build(), BodyHandlers.ofInputStream());
            assertThat(stream.statusCode()).isEqualTo(200);
            return CompletableFuture.runAsync(() -> {
                try (InputStream in = stream.body()) {
                    while (in.read() >= 0) {
                        continue;
                    }
                } catch (java.io.IOException closed) {
                    assertThat(closed).as("the stream has ended").isNotNull();
                }
            });
        }

        /** The page as a browser asks for one. */
        void getAsPage(String path) throws Exception {
            http.send(request(path).header("Accept", "text/html").build(), BodyHandlers.discarding());
        }

        private String cookie(String name) {
            return cookies.getCookieStore().getCookies().stream()
                    .filter(c -> c.getName().equals(name))
                    .map(HttpCookie::getValue)
                    .findFirst()
                    .orElse("");
        }

        /** What this device is remembered by. */
        String device() {
            return cookie("kemdro-device");
        }

        void remember(String device) {
            HttpCookie cookie = new HttpCookie("kemdro-device", device);
            cookie.setPath("/");
            cookie.setVersion(0);
            cookies.getCookieStore().add(URI.create("http://127.0.0.1:" + port), cookie);
        }

        String session() {
            return new String(Base64.getDecoder().decode(cookie("SESSION")), StandardCharsets.UTF_8);
        }

        void forgetSession() {
            for (HttpCookie cookie : List.copyOf(cookies.getCookieStore().getCookies())) {
                if (!cookie.getName().equals("kemdro-device")) {
                    cookies.getCookieStore().remove(URI.create("http://127.0.0.1:" + port), cookie);
                }
            }
        }
    }

    @BeforeEach
    void somebody() throws Exception {
        name = "g" + UUID.randomUUID().toString().substring(0, 12);
        accounts.add(name, "Guest " + name, WORDS, Account.Role.LEAD);
        lead = new Visitor();
        assertThat(lead.signIn("ines", "bell-founder")).endsWith("/shelf");
    }

    private Visitor inside() throws Exception {
        Visitor somebody = new Visitor();
        assertThat(somebody.signIn(name, WORDS)).endsWith("/shelf");
        assertThat(somebody.isIn()).isTrue();
        return somebody;
    }

    @Test
    void whoeverIsTakenAwayIsOutAtOnceStreamsIncluded() throws Exception {
        Visitor somebody = inside();
        CompletableFuture<Void> stream = somebody.listen("/jobs/1/chair/stream");
        lead.post("/people", "/people/accounts/" + name + "/remove", "");
        assertThat(somebody.isIn()).isFalse();
        stream.get(2, TimeUnit.MINUTES);
        assertThat(new Visitor().signIn(name, WORDS)).endsWith("?error");
        assertThat(lead.get("/people/record").body()).contains("took the account of " + name + " away");
        assertThat(database.queryForObject("select count(*) from habit where account = ?", Integer.class, name))
                .isZero();
    }

    /** Who joins the run that is on sees the job and hears its chair; who leaves it no longer does, what was open included. */
    @Test
    void joiningLetsHandsInAndLeavingTakesItAway() throws Exception {
        String hands = "h" + UUID.randomUUID().toString().substring(0, 12);
        accounts.add(hands, "Hands " + hands, WORDS, Account.Role.HANDS);
        long job = DemoJobs.ofInesOnly("joined by " + hands, jobs).id();
        Run run = seats.begin(job, "ines");
        Visitor somebody = new Visitor();
        somebody.signIn(hands, WORDS);
        List<String> pages = handlers.getHandlerMethods().keySet().stream()
                .flatMap(m -> m.getPatternValues().stream())
                .filter(p -> p.startsWith("/jobs/{"))
                .map(p -> p.replaceFirst("\\{[^}]+}", String.valueOf(job)).replaceAll("\\{[^}]+}", "2"))
                .distinct()
                .toList();
        assertThat(pages).hasSizeGreaterThan(100).contains("/jobs/" + job + "/chair/stream");
        for (String page : pages) {
            assertThat(somebody.get(page).statusCode()).as("before, " + page).isEqualTo(403);
        }
        Stamp joins = new Stamp("join-" + hands, runs.now(run), "Hands " + hands);
        reports.take(job, new RunEvent.Join(joins, Skill.ASSISTANT), "ines");
        assertThat(somebody.get("/jobs/" + job + "/chair").statusCode()).isEqualTo(200);
        CompletableFuture<Void> stream = somebody.listen("/jobs/" + job + "/chair/stream");
        Stamp leaves = new Stamp("leave-" + hands, runs.now(run), "Hands " + hands);
        reports.take(job, new RunEvent.Leave(leaves), "ines");
        stream.get(2, TimeUnit.MINUTES);
        String token = somebody.tokenOf("/shelf");
        for (String page : pages) {
            assertThat(somebody.get(page).statusCode()).as("after, " + page).isEqualTo(403);
            assertThat(somebody.press(token, page, "").statusCode())
                    .as("pressed after, " + page)
                    .isEqualTo(403);
        }
        assertThat(somebody.press(token, "/password", "old=a&wanted=b").statusCode())
                .as("a press that is theirs is believed")
                .isEqualTo(200);
        reports.end(runs.open(job).orElseThrow(), "end-" + hands, "ines");
    }

    @Test
    void anotherRoleCountsAtOnce() throws Exception {
        Visitor somebody = inside();
        assertThat(somebody.get("/people").statusCode()).isEqualTo(200);
        lead.post("/people", "/people/accounts/" + name + "/role", "role=FLOOR");
        assertThat(somebody.isIn()).isFalse();
        assertThat(somebody.signIn(name, WORDS)).contains("/");
        assertThat(somebody.get("/people").statusCode()).isEqualTo(403);
    }

    @Test
    void aPasswordIsChangedByWhoseItIsAndEndsEverywhereElse() throws Exception {
        Visitor here = inside();
        Visitor there = inside();
        assertThat(here.post("/password", "/password", "old=wrong one entirely&wanted=" + OTHERS)
                        .body())
                .contains("not the password you sign in with");
        assertThat(here.post("/password", "/password", "old=" + WORDS + "&wanted=password1")
                        .body())
                .contains("among the first that are tried");
        assertThat(there.isIn()).isTrue();
        assertThat(here.post("/password", "/password", "old=" + WORDS + "&wanted=" + OTHERS)
                        .body())
                .contains("The new password counts");
        assertThat(here.isIn()).isTrue();
        assertThat(there.isIn()).isFalse();
        assertThat(new Visitor().signIn(name, WORDS)).endsWith("?error");
        assertThat(new Visitor().signIn(name, OTHERS)).endsWith("/shelf");
    }

    @Test
    void aLeadGivesAnotherPassword() throws Exception {
        Visitor somebody = inside();
        lead.post("/people", "/people/accounts/" + name + "/password", "password=" + OTHERS);
        assertThat(somebody.isIn()).isFalse();
        assertThat(new Visitor().signIn(name, OTHERS)).endsWith("/shelf");
    }

    @Test
    void wrongPasswordsAreSlowedDownAndWrittenDown() throws Exception {
        Visitor stranger = new Visitor();
        String last = "";
        for (int k = 0; k < 6; k++) {
            last = stranger.signIn(name, "not this one " + k);
        }
        assertThat(last).contains("?wait=");
        assertThat(stranger.get("/sign-in?wait=30").body()).contains("Too many wrong passwords. Try again in 30 s");
        // the right one does not get in either, for nobody is to learn that it is the right one
        assertThat(stranger.signIn(name, WORDS)).contains("?wait=");
        assertThat(lead.get("/people/record?about=ACCOUNT").body())
                .contains(name)
                .contains("too many wrong passwords from 127.0.0.1");
    }

    @Test
    void aRememberedDeviceNeedsNoPasswordUntilItIsForgotten() throws Exception {
        Visitor somebody = new Visitor();
        somebody.post("/sign-in", "/sign-in", "username=" + name + "&password=" + WORDS + "&remember=on");
        somebody.forgetSession();
        assertThat(somebody.isIn()).isTrue();
        lead.post("/people", "/people/accounts/" + name + "/password", "password=" + OTHERS);
        somebody.forgetSession();
        assertThat(somebody.isIn()).isFalse();
    }

    @Test
    void signingOutForgetsTheDeviceAtWhichOneDoesItAndNoOther() throws Exception {
        Visitor here = new Visitor();
        Visitor there = new Visitor();
        for (Visitor device : List.of(here, there)) {
            device.post("/sign-in", "/sign-in", "username=" + name + "&password=" + WORDS + "&remember=on");
        }
        String kept = here.device();
        here.post("/shelf", "/sign-out", "");
        assertThat(here.isIn()).isFalse();
        assertThat(here.device()).isEmpty();
        // nor does it help to have kept what the device was known by
        here.remember(kept);
        assertThat(here.isIn()).isFalse();
        there.forgetSession();
        assertThat(there.isIn()).isTrue();
    }

    /** Whoever only looks at the door leaves nothing behind, however often; whoever comes for a page still gets to it. */
    @Test
    void lookingAtTheDoorKeepsNothingOnTheServer() throws Exception {
        Visitor stranger = new Visitor();
        for (String page :
                List.of("/", "/sign-in", "/shelf", "/jobs/2/order", "/first-lead", "/board/none", "/certificate")) {
            stranger.get(page);
            assertThat(stranger.session()).as(page).isEmpty();
        }
        stranger.signIn(name, "not this one");
        assertThat(stranger.session()).as("a wrong password").isEmpty();
        stranger.getAsPage("/jobs/2/order");
        assertThat(stranger.session()).as("a page that is asked for").isEmpty();
        assertThat(stranger.signIn(name, WORDS)).contains("/jobs/2/order");
        assertThat(stranger.session()).isNotEmpty();
        assertThat(stranger.isIn()).isTrue();
    }

    /** Scripts and styles read no session: they come where the data cannot be opened, and keep nobody's session from ending. */
    @Test
    void whatIsTheSameForEverybodyAsksNobodyWhoTheyAre() throws Exception {
        Visitor somebody = inside();
        long before = System.currentTimeMillis() - 3_600_000;
        database.update(
                "update spring_session set last_access_time = ? where session_id = ?", before, somebody.session());
        for (String path : List.of("/css/app.css", "/js/app.js", "/icons/favicon.svg")) {
            assertThat(somebody.get(path).statusCode()).as(path).isEqualTo(200);
        }
        assertThat(lastSeen(somebody)).isEqualTo(before);
        somebody.get("/shelf");
        assertThat(lastSeen(somebody)).isGreaterThan(before);
    }

    private long lastSeen(Visitor somebody) throws Exception {
        return Objects.requireNonNull(database.queryForObject(
                "select last_access_time from spring_session where session_id = ?", Long.class, somebody.session()));
    }

    /** A session that ends by its time ends what listens in it. */
    @Test
    void aStreamDoesNotOutliveItsSession() throws Exception {
        Visitor somebody = inside();
        Visitor other = inside();
        CompletableFuture<Void> stream = somebody.listen("/jobs/1/chair/stream");
        CompletableFuture<Void> others = other.listen("/jobs/1/chair/stream");
        database.update(
                "update spring_session set last_access_time = 1, expiry_time = 1 where session_id = ?",
                somebody.session());
        signedIn.endWhatIsOver();
        stream.get(2, TimeUnit.MINUTES);
        assertThat(somebody.isIn()).isFalse();
        assertThat(others).isNotDone();
        assertThat(other.isIn()).isTrue();
    }

    @Test
    void aLongPasswordCountsToItsEnd() throws Exception {
        String longOne = (WORDS + " " + OTHERS + " ").repeat(3).substring(0, 120);
        accounts.resetPassword(name, longOne);
        assertThat(new Visitor().signIn(name, longOne.substring(0, 119) + "x")).endsWith("?error");
        assertThat(new Visitor().signIn(name, longOne)).endsWith("/shelf");
        assertThat(database.queryForObject("select password_hash from account where name = ?", String.class, name))
                .startsWith("{pbkdf2}");
    }

    @Test
    void whoTookABackupOrChangedWhatIsKnownOfHealthIsWrittenDownWithoutTheHealth() throws Exception {
        Visitor somebody = inside();
        somebody.post("/house/keeping", "/house/keeping/backup", "");
        somebody.post("/jobs/2/safety", "/jobs/2/safety/consent", "agreed=nothing known");
        assertThat(lead.get("/people/record?about=BACKUP").body())
                .contains(name)
                .contains("made a backup");
        assertThat(lead.get("/people/record?about=HEALTH").body())
                .contains(name)
                .contains("changed what was agreed to on job 2");
        assertThat(somebody.get("/people/record").statusCode()).isEqualTo(200);
        Visitor hands = new Visitor();
        hands.signIn("pell", "bell-founder");
        assertThat(hands.get("/people/record").statusCode()).isEqualTo(403);
    }

    @Test
    void onlyOneBecomesTheFirstLeadAndTheOnlyLeadStays() throws Exception {
        assertThat(accounts.addFirstLead("second", "Second Lead", WORDS)).isFalse();
        assertThat(lead.post("/people", "/people/accounts/ines/remove", "")
                        .headers()
                        .firstValue("location"))
                .isPresent();
        assertThat(lead.get("/people").body()).contains("Nobody takes their own account away");
        assertThat(lead.isIn()).isTrue();
    }

    /** A page elsewhere whose name leads to this machine, as a browser would ask for it. */
    @Test
    void whoeverComesUnderAnotherNameGetsNothing() throws Exception {
        assertThat(RawVisit.raw(port, "elsewhere.example")).startsWith("HTTP/1.1 400");
        assertThat(RawVisit.raw(port, "localhost:" + port)).startsWith("HTTP/1.1 200");
    }
}
