package app.kemdro.web.demo;

import app.kemdro.web.account.DemoAccounts;
import app.kemdro.web.chair.Runs;
import app.kemdro.web.colour.Swatches;
import app.kemdro.web.job.Job;
import app.kemdro.web.job.Jobs;
import app.kemdro.web.plans.Plans;
import app.kemdro.web.product.Products;
import app.kemdro.web.sample.ColdCasting;
import java.time.Clock;
import java.time.LocalDate;
import java.time.LocalDateTime;
import org.springframework.beans.factory.SmartInitializingSingleton;
import org.springframework.context.annotation.Profile;
import org.springframework.stereotype.Component;

/** "Cold Casting": a small production about a shut-down bell foundry. All of it is invented. */
@Component
@Profile("demo")
class DemoWorld implements SmartInitializingSingleton {
    private final DemoAccounts accounts;
    private final Jobs jobs;
    private final Plans plans;
    private final Runs runs;
    private final Products products;
    private final Swatches swatches;
    private final Clock clock;

    DemoWorld(
            DemoAccounts accounts,
            Jobs jobs,
            Plans plans,
            Runs runs,
            Products products,
            Swatches swatches,
            Clock clock) {
        this.products = products;
        this.swatches = swatches;
        this.accounts = accounts;
        this.jobs = jobs;
        this.plans = plans;
        this.runs = runs;
        this.clock = clock;
    }

    /** Before the first page can be asked for, so that nobody meets an empty demo. */
    @Override
    public void afterSingletonsInstantiated() {
        accounts.ensure();
        if (products.isEmpty()) {
            products.take(DemoKit.csv(LocalDate.now(clock)));
        }
        if (swatches.isEmpty()) {
            swatches.takeCsv(DemoKit.paints());
        }
        if (!jobs.isEmpty()) {
            return;
        }
        LocalDate today = LocalDate.now(clock);
        LocalDateTime test = today.minusDays(2).atTime(9, 30);
        Job cameraTest = ColdCasting.founder("Orrin Vask, camera test", test);
        Rehearsed.store(runs, jobs.add(cameraTest), "ines");
        plans.add(ColdCasting.founder("Orrin Vask", today.plusDays(1).atTime(7, 45)));
        jobs.add(ColdCasting.apprentice(today.plusDays(2).atTime(8, 30)));
        jobs.add(ColdCasting.nightShift(today.plusDays(2).atTime(13, 30)));
    }
}
