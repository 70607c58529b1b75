package app.kemdro.web.records;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** A migration that has landed is never edited: somewhere a house has been through it. */
class LandedTest {
    /** Whoever lands a migration writes it down here; what stands here is never changed again. */
    private static final Map<String, String> LANDED = Map.ofEntries(
            Map.entry("V1__first_slice.sql", "cabb9ec64403ccacd6edd05a0faf9c7611205cc3022a52aa816db392605663ac"),
            Map.entry("V2__whole_trade.sql", "8a926bb20a41cf75a62f73e51b197ecbd76676bdcb631e4a3299c38f0ff8908d"),
            Map.entry("V3__order_and_chair.sql", "c0c84dff28bec27c821fac6fd1a55d482e4323e7064e6c53264e91a137175b31"),
            Map.entry(
                    "V4__bench_kit_colour_safety.sql",
                    "7c86cfb54cda7da770efc4a98e7f1b7237d9a75831af71b2bf949a9ed0456863"),
            Map.entry("V5__people_strike_book.sql", "2a364d861b8f329173f963c20ac4ee2fadc3e911fbdecbc0cdbcbd76ac1a0bd5"),
            Map.entry("V6__set_aside.sql", "2d5bedca2da181f19c8c638361f2ca58eedb808bbb025a57af53ef1e718e93d1"),
            Map.entry("V7__events_with_types.sql", "ceabda6248030245629da468383a9c0b3a31e07f40dec0068b671115a42ce132"),
            Map.entry("V8__Who_sat.java", "fdb8a529e2baaad475c10171ceae31829ee5d843623e1c182b1e82bc219e839e"),
            Map.entry("V9__shelf_lines.sql", "3a7628b07f9dec3f895fa56b77fcafd4c38695ed7d6ec632069569ac3f7cc300"),
            Map.entry("V10__what_can_be_found.sql", "d83407908b49e9ce4b06963730c300f3f09b6a767a0ba90805566bcc50da02ad"),
            Map.entry("V11__what_is_allowed.sql", "a7a9ab512b0ed79e89cc8d13c2e2f5d5bb0e3ad1ed76a9da3a3f6bcbebd91111"),
            Map.entry("V12__where_hair_grows.sql", "416a4cdabf78934fd2b1c584a70c62148b4947bcb680fa79f3c292dac48eabe1"),
            Map.entry("V13__orders_found.sql", "b7a78ff44645617acd4f7c8348369f506eaab5b185e7fb378f7c02aee7ec41ee"),
            Map.entry(
                    "V14__reference_pictures.sql", "56c9cdb2be9e39560e292a342826fd14aa60baceb5c0764d154eadbf8e1330d0"),
            Map.entry("V15__the_usual_house.sql", "d9ca2ae5d440ab96238e8668a22a2e835d62a4376e0d990a3767becfea4b9288"),
            Map.entry("V16__own_starts.sql", "75e1d10d8738b0d815802e62a8ec7a0b3e6c5046a9b607a468d29dc1ba1cd961"),
            Map.entry("V17__habits.sql", "35377d9f0ef9e5625fca6ae4be8748fc77fa04d00bc19741606fe3a2ada72949"),
            Map.entry("V18__guarded.sql", "9323c3cd2b4bb1e1a60fae5d7e8e70eeebce742e2ac822befa50a95e5b284e74"),
            Map.entry("V19__keeping.sql", "24855648e29233c8f3852c9f0419db0b4d6f995a43a112d326a8a7e184ae87bc"),
            Map.entry("V20__time_zone.sql", "476bf67f299034846f97b28923a2c9f832d54610f430c0119ecd048dd79e66b0"),
            Map.entry(
                    "V21__names_on_the_floor.sql", "e053ada838f0ba74215ec7de4609b89adafacc84749564ee342ff9862d5594ab"));

    @Test
    void noMigrationThatHasLandedIsEdited() throws Exception {
        Map<String, String> found = new TreeMap<>();
        for (String folder : List.of("src/main/resources/db/migration", "src/main/java/app/kemdro/web/records/run")) {
            try (Stream<Path> files = Files.list(Path.of(folder))) {
                for (Path file : files.filter(f -> f.getFileName().toString().matches("V\\d+__.*"))
                        .toList()) {
                    found.put(file.getFileName().toString(), fingerprint(file));
                }
            }
        }
        assertThat(found).containsExactlyInAnyOrderEntriesOf(LANDED);
    }

    /** Of what is written; where Java's lines are broken does not count. */
    private static String fingerprint(Path file) throws Exception {
        String text = Files.readString(file).replace("\r\n", "\n");
        String counted = file.toString().endsWith(".java") ? text.replaceAll("\\s", "") : text;
        return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(counted.getBytes("UTF-8")));
    }
}
