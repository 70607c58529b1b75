package app.kemdro.web.records.sample;

import app.kemdro.core.safety.HealthRecord;
import app.kemdro.core.safety.HealthRecord.PatchTest;
import app.kemdro.core.safety.HealthRecord.Result;
import app.kemdro.core.safety.HealthRecord.Skin;
import app.kemdro.web.parts.figure.FigureView;
import app.kemdro.web.records.account.DemoAccounts;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.job.Jobs;
import app.kemdro.web.records.paint.KeptRecipes;
import app.kemdro.web.records.paint.Swatches;
import app.kemdro.web.records.performer.SkinSeenRow;
import app.kemdro.web.records.plan.Plans;
import app.kemdro.web.records.product.Products;
import app.kemdro.web.records.reference.References;
import app.kemdro.web.records.run.Seats;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.Executor;
import org.springframework.beans.factory.SmartInitializingSingleton;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.core.task.SimpleAsyncTaskExecutor;
import org.springframework.stereotype.Component;

/** "Cold Casting": a small production about a shut-down bell foundry. All of it is invented, and made in the demo only. */
@Component
class DemoWorld implements SmartInitializingSingleton {
    private final DemoAccounts accounts;
    private final Jobs jobs;
    private final Plans plans;
    private final Seats seats;
    private final Products products;
    private final Swatches swatches;
    private final KeptRecipes recipes;
    private final References references;
    private final Clock clock;
    private final boolean demo;

    DemoWorld(
            DemoAccounts accounts,
            Jobs jobs,
            Plans plans,
            Seats seats,
            Products products,
            Swatches swatches,
            KeptRecipes recipes,
            References references,
            Clock clock,
            @Value("${kemdro.demo}") boolean demo) {
        this.products = products;
        this.swatches = swatches;
        this.recipes = recipes;
        this.accounts = accounts;
        this.jobs = jobs;
        this.plans = plans;
        this.seats = seats;
        this.clock = clock;
        this.references = references;
        this.demo = demo;
    }

    /** Before the first page can be asked for, so that nobody meets an empty demo; what does not need each other is made side by side. */
    @Override
    public void afterSingletonsInstantiated() {
        if (demo) {
            make();
        }
    }

    private void make() {
        Executor beside = new SimpleAsyncTaskExecutor("demo-");
        CompletableFuture<Void> accountsMade = CompletableFuture.runAsync(accounts::ensure, beside);
        LocalDate today = LocalDate.now(clock);
        Optional<Job> cameraTest = jobs.isEmpty()
                ? Optional.of(plans.add(ColdCasting.founder(
                        "Orrin Vask, camera test", today.minusDays(2).atTime(9, 30))))
                : Optional.empty();
        CompletableFuture<Void> tested = CompletableFuture.runAsync(
                () -> cameraTest.ifPresent(job -> Rehearsed.store(seats, job, "ines")), beside);
        if (products.isEmpty()) {
            products.take(DemoKit.csv(today));
        }
        if (swatches.isEmpty()) {
            swatches.takeCsv(DemoKit.paints());
        }
        cameraTest.ifPresent(job -> {
            paint(job);
            tomorrow(today, beside);
            jobs.add(ColdCasting.apprentice(today.plusDays(2).atTime(8, 30)));
            jobs.add(ColdCasting.nightShift(today.plusDays(2).atTime(13, 30)));
            jobs.add(ColdCasting.stoker(today.plusDays(3).atTime(8, 0)));
        });
        CompletableFuture.allOf(accountsMade, tested).join();
    }

    private void tomorrow(LocalDate today, Executor beside) {
        Job founder =
                plans.add(ColdCasting.founder("Orrin Vask", today.plusDays(1).atTime(7, 45)));
        CompletableFuture<Void> pictured = CompletableFuture.runAsync(() -> picture(founder), beside);
        paint(founder);
        test(founder, today);
        pictured.join();
    }

    /** Studies of how the founder shall look. */
    private void picture(Job founder) {
        long front =
                references.add(founder.id(), DemoKit.picture("study-front")).id();
        references.say(founder.id(), front, "first study, from the front", FigureView.FRONT, false);
        long left = references.add(founder.id(), DemoKit.picture("study-left")).id();
        references.say(founder.id(), left, "first study, from the left", FigureView.LEFT, false);
        long crust =
                references.add(founder.id(), DemoKit.picture("study-crust")).id();
        references.say(founder.id(), crust, "how the crust breaks up", null, false);
        references.pin(founder.id(), crust, Set.of("forehead", "cheek-left", "cheek-right", "nose"));
        references.mark(founder.id(), crust, 0.68, 0.35, "raised bronze, dry-brushed");
        references.mark(founder.id(), crust, 0.24, 0.62, "verdigris only in the pits");
    }

    /** What was tested on the performer's arm before the camera test, and what nobody has looked at yet. */
    private void test(Job founder, LocalDate today) {
        List<PatchTest> tests = new ArrayList<>();
        for (String family : List.of(
                "acrylic-adhesive",
                "liquid-latex",
                "castor-grease",
                "cream",
                "cream-stick",
                "adhesive-remover",
                "remover-oil")) {
            tests.add(new PatchTest(family, today.minusDays(5).atTime(18, 0), Result.CLEAR));
        }
        tests.add(new PatchTest("water-paint", today.minusDays(1).atTime(18, 0), Result.OPEN));
        jobs.change(founder.id(), j -> {
            j.performer().careFor(new HealthRecord(0, false, false, false, Set.of(), tests));
            for (String zone : List.of("forehead", "cheek-left", "cheek-right", "nose")) {
                boolean red = zone.equals("nose");
                j.performer()
                        .see(new SkinSeenRow(
                                zone,
                                today.minusDays(2).atTime(21, 10),
                                red ? Skin.RED : Skin.FINE,
                                "acrylic-adhesive,liquid-latex",
                                red ? "red beside the left nostril, gone the next morning" : "",
                                "pell"));
            }
        });
    }

    /** The founder's colours, as they were mixed for the camera test. */
    private void paint(Job founder) {
        Map<String, Integer> bronze = new LinkedHashMap<>();
        bronze.put("Bell castor grease, bronze", 4);
        bronze.put("Bell castor grease, umber", 1);
        recipes.keep(founder.id(), "bronze crust", "bronze-face", bronze);
        recipes.keep(founder.id(), "bronze cap", "bronze-cap", bronze);
        recipes.keep(founder.id(), "verdigris", "patina", Map.of("Bell cream, verdigris", 1));
        recipes.keep(founder.id(), "soot", "soot", Map.of("Bell cream, soot", 1));
        Map<String, Integer> metal = new LinkedHashMap<>();
        metal.put("Bell cream, slate", 2);
        metal.put("Bell cream, ochre", 1);
        recipes.keep(founder.id(), "dull metal", "metal-hands", metal);
    }
}
